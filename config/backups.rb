# frozen_string_literal: true

require "sequel"
require "time"
require_relative "copies"
require_relative "backups/beside"
require_relative "backups/erase_again"
require_relative "backups/retention"
require_relative "backups/sealed"
require_relative "backups/trial"

# Copies of the whole database that are made while it goes on: each is restored into a database beside and counted row
# by row before it is called good, then encrypted where a recipient is set.
class Backups
  include Trial

  Failure = Copies::Failure
  # Megabytes that have to stay free beside a copy, which needs so many times its room while it is tried.
  SPARE = 200
  TIMES = 6
  NAME = /\Arungs-(\d{4})-(\d\d)-(\d\d)-\d{6}\.dump(\.age)?\z/
  # Whoever holds this lock makes one.
  LOCK = 4601

  # at: Time. file: its path. bytes: how large. counted: rows.
  Made = Struct.new(:at, :file, :bytes, :counted, keyword_init: true)

  # @param folder [String]
  # @param url [String] of the database, as the role that owns its tables and may make others
  # @param sealed [Sealed] how copies are encrypted and read
  def initialize(folder, url, sealed: Sealed.new)
    @folder = folder
    @url = url
    @sealed = sealed
    @tools = Copies.new(folder, url, sealed: sealed)
    @lists = Beside.new(folder)
  end

  # @return [Array<String>] paths, the oldest first
  def all = Dir[File.join(@folder, "rungs-*")].select { |file| File.basename(file).match?(NAME) }.sort

  # @return [Made] tried and complete
  # @raise [Failure] saying why there is none; nothing half made stays
  def make(now: Time.now)
    FileUtils.mkdir_p(@folder, mode: 0o700)
    check_room
    plain = File.join(@folder, "rungs-#{now.utc.strftime('%Y-%m-%d-%H%M%S')}.dump")
    counts = dump(plain)
    try(plain, counts)
    remember
    file = @sealed.seal(plain)
    let_go(now)
    Made.new(at: now, file: file, bytes: File.size(file), counted: counts.values.sum)
  rescue StandardError
    FileUtils.rm_f([plain, "#{plain}.age"].compact) if plain
    raise
  end

  # Tries one that is there.
  # @return [Integer] rows
  # @raise [Failure]
  def check(file)
    @sealed.read(file) { |plain| in_trial_database { |url| restored(plain, url).values.sum } }
  end

  # What is free, and about how much a copy needs, in megabytes.
  # @return [Array(Integer, Integer)]
  def room
    FileUtils.mkdir_p(@folder, mode: 0o700)
    free = Open3.capture2("df", "-Pm", @folder).first.lines.last.to_s.split[3].to_i
    last = all.last
    needs = last ? File.size(last) : size / 4
    [free, (needs / (1024.0**2)).ceil]
  end

  # Puts a copy in the place of what is there. What was there is copied first.
  # @param newest [Integer] the step that this version's tables are at
  # @return [String] the copy of what was there
  # @raise [Failure] and nothing was changed
  def restore(file, newest:)
    @sealed.read(file) do |plain|
      step = step_of(plain)
      refuse("That copy is of a newer version of Rungs (step #{step}; this one knows #{newest}).") if step > newest

      know_erased(file)
      kept = before_restore.make(step)
      @tools.go_back(plain)
      kept
    end
  end

  # Puts a copy made before tables were changed in the place of what is there, for the version of then.
  # @return [Integer] how many children, erased since, were erased again
  # @raise [Failure]
  def go_back(file)
    know_erased(file)
    @tools.go_back(file)
    connected { |db| EraseAgain.new(db).call(erased) }.tap { raise_sequences }
  end

  # @return [Array<Array(String, Integer)>] who was erased, whenever
  def erased = @lists.erased

  # Sets every sequence above the highest number that was ever given.
  def raise_sequences
    connected do |db|
      sequences(db).merge(@lists.sequences) { |_, *both| both.max }.each do |name, most|
        db.get(Sequel.function(:setval, name, most)) if most.positive? && sequences(db).key?(name)
      end
    end
  end

  private

  def refuse(words) = raise(Failure, words)

  def before_restore = Copies.new(File.join(@folder, "before-restore"), @url, sealed: @sealed)

  def know_erased(file)
    remember
    @lists.merge(Beside.new(File.dirname(file)))
  end

  # What is there now of it, added to what lies beside the copies.
  def remember
    connected do |db|
      known = db.table_exists?(:erased)
      @lists.add(erased: known ? db[:erased].select_map(%i[class_key child_id]) : [], sequences: sequences(db))
    end
  end

  def connected(url = @url)
    db = Sequel.connect(url, max_connections: 1)
    yield db
  ensure
    db&.disconnect
  end

  def sequences(db)
    db[:pg_sequences].where(schemaname: "public").select_map(%i[sequencename last_value]).to_h.transform_values(&:to_i)
  end

  def size = connected { |db| db.get(Sequel.function(:pg_database_size, Sequel.function(:current_database))) }

  # While a copy is made it is there twice, restored.
  def check_room
    free, needs = room
    wanted = (needs * TIMES) + SPARE
    return if free > wanted

    refuse("The disk has #{free} MB free, and a copy with its trial needs about #{wanted} MB. Free some space; " \
           "there was no copy today.")
  end

  # Counted and written of one moment, whatever is recorded meanwhile.
  # @return [Hash{Symbol => Integer}] rows by table
  def dump(file)
    connected do |db|
      db.transaction(isolation: :repeatable, read_only: true) do
        snapshot = db.get(Sequel.function(:pg_export_snapshot))
        counts = counted(db)
        @tools.pg("pg_dump", "--format=custom", "--snapshot=#{snapshot}", "--file=#{file}")
        File.chmod(0o600, file)
        counts
      end
    end
  end

  def step_of(plain)
    said = @tools.pg("pg_restore", "--data-only", "--table=schema_info", "--file=-", plain, database: false)
    said[/^\d+$/].to_i
  end

  def let_go(now)
    dated = all.to_h { |file| [file, Date.new(*File.basename(file).match(NAME)[1..3].map(&:to_i))] }
    FileUtils.rm_f(dated.keys - Retention.stay(dated, now.to_date))
  end
end
