# frozen_string_literal: true

# A district on this machine: thirty teachers who record through the door, with one server and with two; then, while
# teachers record, what is killed, cut off and changed: what is lost (nothing), and for how long nothing is taken.
require_relative "disturbed"
require_relative "measure"

TEACHERS = Size.of(30, 2)
TAPS = Size.of(40, 3)
LEAST = Size.of(2000, 40)

whole = Whole.new
at_exit { whole.end }
whole.await("the district") { whole.whole? }
disturbed = Disturbed.new(whole, teachers: TEACHERS)
measure = Measure.new

# Records a second; milliseconds of processor time that a record takes in the servers, and in all databases together;
# bytes of it in what the databases send each other, and in tables and indexes.
Taken = Struct.new(:rate, :servers, :databases, :log, :tables, keyword_init: true)

# @return [Hash{Symbol => Float}] what was taken so far, of each
def so_far(whole)
  servers = whole.names("server").flat_map { |name| whole.processes(name) }
  databases = whole.names("patroni").flat_map { |name| whole.postgres(name) }
  tables = DB.tables.sum { |table| DB.get(Sequel.function(:pg_total_relation_size, table.to_s)) }
  log = DB.get(Sequel.lit("pg_current_wal_lsn() - '0/0'")).to_f
  { servers: whole.processor_time(servers), databases: whole.processor_time(databases), log: log, tables: tables }
end

tappers = Array.new(TEACHERS) { Tapper.new(whole.port, secure: true).start_class }
# @return [Taken]
taken = lambda do
  before, many = so_far(whole), TEACHERS * TAPS
  start = Process.clock_gettime(Process::CLOCK_MONOTONIC)
  Tapper.together(tappers) { |tapper| tapper.hurriedly(TAPS) }
  rate = many / (Process.clock_gettime(Process::CLOCK_MONOTONIC) - start)
  Taken.new(rate: rate, **so_far(whole).to_h { |what, now| [what, (now - before[what]) / many] })
end

2.times { taken.call } # so that all is loaded
two = taken.call
whole.ask_door("set server servers/server2 state maint")
one = taken.call
whole.ask_door("set server servers/server2 state ready")
whole.await("both servers") { whole.servers_ready? }

{ "one server" => one, "two servers" => two }.each do |name, said|
  measure.figure("records through #{name}", said.rate, "a second")
  measure.figure("processor time a record, #{name}", said.servers * 1000, "ms")
  measure.figure("processor time a record, databases of #{name}", said.databases * 1000, "ms")
end
measure.figure("a record in what the databases send each other", two.log, "bytes")
measure.figure("a record in tables and indexes", two.tables, "bytes")
measure.figure("two servers on these cores", two.rate / one.rate, "times one")

# What is done → seconds without a record, and whether no request may fail.
{ server_killed: [5, false], primary_killed: [30, false], pool_killed: [10, false], standby_cut_off: [15, false],
  restarted: [5, true], etcd_lost: [5, true] }.each do |what, (gap, faultless)|
  noticed = what == :primary_killed ? disturbed.primary_killed(least: LEAST) : disturbed.public_send(what)
  name = what.to_s.tr("_", " ")
  measure.figure("#{name}: acknowledged", noticed.keys.size, "records")
  measure.figure("#{name}: lost or there twice", noticed.lost + noticed.doubled, "records", ceiling: 0)
  measure.figure("#{name}: longest gap", noticed.gap, "s", ceiling: gap)
  measure.figure("#{name}: board without a word", noticed.board, "s", ceiling: what == :server_killed ? 5 : nil)
  measure.figure("#{name}: other requests that failed", noticed.failed.size, "", ceiling: faultless ? 0 : nil)
  whole.await("the district") { whole.whole? }
end

keys = disturbed.pool_killed.keys
restored = disturbed.restored(keys)
measure.figure("brought back from a copy", restored.size, "of #{keys.size} records", floor: keys.size)
measure.finish
