# frozen_string_literal: true

require_relative "size"

# A class of 30 heard for a year: 22,000 records on 190 school days, written at once, the estimates made from all of
# them; and copies of it, made inside the database.
module Year
  CHILDREN = 30
  RECORDS = Size.of(22_000, 400)
  DAYS = Size.of(190, 10)
  EMAIL = "year@harbour.example"

  module_function

  # @return [Records::Classroom] made where it is not there yet
  def room
    account = Records::Account.first(email: EMAIL)
    return account.classrooms.first if account

    account = Records::Account.create(email: EMAIL, name: "Teacher")
    room = account.start_classroom(name: "Room 30")
    Records::Child.enrol(room, Array.new(CHILDREN) { |index| format("Child %02d", index + 1) })
    DB.transaction { DAYS.times { |index| teach(room, room.today - (index * 365 / DAYS), Random.new(index)) } }
    Records::Ledger.new(room).rebuild
    Records::Brought.look_at_how_much
    room
  end

  # Who reads it: its teacher, an assistant and a coach.
  # @return [Hash{String => Account}] by role
  def people(room)
    others = %w[assistant coach].to_h { |role| [role, person(room, role)] }
    { "teacher" => Records::Account.first(email: EMAIL), **others }
  end

  def person(room, role)
    email = "#{role}.#{EMAIL}"
    account = Records::Account.first(email: email) || Records::Account.create(email: email, name: role.capitalize)
    Records::Membership.find_or_create(account_id: account.id, classroom_id: room.id) { |made| made.role = role }
    account
  end

  def teach(room, day, random)
    lesson = room.start_lesson(day)
    posed = Array.new(4) do |place|
      situation = %w[add_to.result take_from.result].sample(random: random)
      band = %w[to5 to10 teens bridge].sample(random: random)
      problem = Rungs::Problem::Pool.new(situation: situation, band: band).problems.sample(random: random)
      told = Rungs::Activity::POSED.data_for(problem, "A story of #{problem.whole}.")
      lesson.course.tell([told], show: false, at: room.midnight(day) + 32_000 + (place * 900))
    end
    children = room.children.map(&:id)
    rows = Array.new((RECORDS / DAYS.to_f).ceil) do |index|
      row(room, posed[index % 4], children[(index * 7) % CHILDREN], random, index)
    end
    DB[:observations].multi_insert(rows)
  end

  def row(room, posed, child_id, random, index)
    rung = Rungs::Strategy::Rung.at(posed.affords.to_a.sample(random: random))
    key = [random.rand(2**32), random.rand(2**16), random.rand(2**12), random.rand(2**12), random.rand(2**48)]
    uuid = format("%08x-%04x-4%03x-8%03x-%012x", *key)
    { classroom_id: room.id, child_id: child_id, problem_id: posed.id, first_key: uuid, client_key: uuid,
      happened_at: posed.posed_at + (index * 7), code: rung.id, rung: rung.level,
      right: random.rand > 0.1, help: %w[alone alone alone prompted].sample(random: random) }
  end

  # Every row of the class again for other classes, with numbers of their own.
  # @param classes [Range<Integer>]
  def copy(room, classes)
    DB.transaction do
      # The copies are right by making; checking each of millions of references again would take hours.
      DB.run "SET LOCAL session_replication_role = replica"
      TABLES.each { |table, shifted| DB.run copy_sql(table, shifted, room.id, classes) }
    end
  end

  # Far more than any number the class itself has.
  APART = 1_000_000
  TABLES = { classrooms: %i[id], children: %i[id classroom_id], lessons: %i[id classroom_id],
             lesson_parts: %i[id classroom_id lesson_id], problems: %i[id classroom_id lesson_id part_id],
             observations: %i[id classroom_id child_id problem_id],
             standings: %i[classroom_id child_id], standing_days: %i[classroom_id child_id],
             facts: %i[classroom_id child_id],
             tallies: %i[classroom_id child_id] }.freeze
  OTHER_KEYS = { observations: { first_key: "gen_random_uuid()", client_key: "gen_random_uuid()" } }.freeze

  def copy_sql(table, shifted, room_id, classes)
    columns = DB.schema(table).map(&:first)
    values = columns.map do |column|
      if shifted.include?(column)
        "source.#{column} + k * #{APART}"
      else
        OTHER_KEYS.dig(table,
                       column) || "source.\"#{column}\""
      end
    end
    whose = table == :classrooms ? "id" : "classroom_id"
    names = columns.map { |column| "\"#{column}\"" }
    "INSERT INTO #{table} (#{names.join(', ')}) SELECT #{values.join(', ')} FROM #{table} source, " \
      "generate_series(#{classes.begin}, #{classes.end}) k WHERE source.#{whose} = #{room_id}"
  end
end
