# frozen_string_literal: true

# A class with something of everything in it, as a seed has it: children on and off the list, lessons with any
# activities, problems in their parts, answers that were corrected, undone or asked in a check-in, photos, groups.
module MadeUpClass
  CODES = [*Rungs::Strategy::Rung::ALL.ids, *Rungs::Strategy::OffLadder::ALL.ids].freeze

  # @param random [Random]
  # @return [Records::Classroom]
  def made_up_class(random)
    account, room = make_teacher(children: Rungs::Problem::Story::NAMES.sample(random.rand(1..8), random: random))
    room.merge_settings("turned" => "two", "knows" => %w[twins])
    random.rand(1..4).times { |back| fill_day(room, account, room.today - (back * 3), random) }
    someone = room.children.sample(random: random)
    check_in(someone, account, random)
    room.note_absence(someone, room.today, away: true)
    room.add_home_answer(child_id: someone.id, day: room.today, code: Records::HomeAnswer::CODES.sample(random: random))
    DB[:came_with].insert(classroom_id: room.id, child_id: someone.id, operation: "add", band: "to10", rung: 2,
                          sure: "clear", records: 4, day: room.today)
    Records::Week.new(room, room.today).aim("I can count on.", band: "to10", operation: "add")
    Records::Own.store(room, Rungs::Own.read("place", "where" => "in the garden"))
    room.children.last.update(left_on: room.today) if random.rand < 0.3
    room.refresh
  end

  private

  def fill_day(room, account, day, random)
    lesson = room.start_lesson(day)
    Rungs::Activity::ALL.ids.sample(random.rand(1..4), random: random).each do |kind|
      part = lesson.course.plan(kind, minutes: random.rand(3..9))
      part.items.store_items if random.rand < 0.5
      posed = part.items.posed(0) or next
      room.children.each { |child| hear(room, account, child, posed, random) if random.rand < 0.7 }
    end
    lesson.keep_groups(room.children.each_slice(2).to_a)
  end

  def hear(room, account, child, posed, random)
    recorder = Records::Recorder.new(room, account)
    key = -> { SecureRandom.uuid }
    heard = recorder.record(child: child, problem: posed, code: CODES.sample(random: random), client_key: key.call,
                            happened_at: Time.now - random.rand(1..5000), answer: [nil, 7].sample(random: random),
                            help: %w[alone prompted].sample(random: random))
    recorder.correct(heard.first_key, client_key: key.call, code: "count_on") if random.rand < 0.2
    recorder.undo(heard.first_key, client_key: key.call) if random.rand < 0.1
    Records::Photo.attach(heard, "\xFF\xD8\xFF#{random.rand}".b, client_key: key.call) if random.rand < 0.1
  end

  def check_in(child, account, random)
    open = Records::CheckIn.open(child, operation: "add", band: "to10")
    2.times do
      posed = open.current or break
      Records::Recorder.new(child.classroom, account).record(child: child, problem: posed, happened_at: Time.now,
                                                             code: CODES.first(5).sample(random: random),
                                                             client_key: SecureRandom.uuid)
      open.go_on if open.current.nil? && open.ended_at.nil?
    end
  end
end
