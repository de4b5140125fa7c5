# frozen_string_literal: true

require "app_helper"

# What plans read of a class is what all of its records say.
RSpec.describe Records::HeardBefore do
  let(:codes) { Rungs::Strategy::Rung::ALL.ids }

  # Answers of all kinds on days of the last half year, each child by another habit.
  def fill(room, account, random)
    recorder = Records::Recorder.new(room, account)
    days = Array.new(24) { random.rand(1..180) }.uniq.sort.reverse
    days.each do |back|
      at = Time.now - (86_400 * back)
      posed = posed_on(room, at, random)
      room.children.each_with_index do |child, habit|
        code = codes[[habit, random.rand(5)].sample(random: random)]
        recorder.record(child: child, problem: posed, code: code, happened_at: at, client_key: SecureRandom.uuid,
                        help: %w[alone alone alone shown].sample(random: random),
                        answer: (99 if random.rand < 0.1))
      end
    end
    asked = Records::CheckIn.open(room.children.first, operation: "add", band: "to10").current
    recorder.record(child: room.children.first, problem: asked, code: "count_on", happened_at: Time.now,
                    client_key: SecureRandom.uuid)
  end

  def posed_on(room, at, random)
    situation = %w[add_to.result take_from.result add_to.change].sample(random: random)
    band = %w[to5 to10 to10 teens bridge].sample(random: random)
    problem = Rungs::Problem::Pool.new(situation: situation, band: band).problems.sample(random: random)
    room.start_lesson(room.today(at)).course.tell([Rungs::Activity::POSED.data_for(problem, "A story.")], show: false,
                                                                                                          at: at)
  end

  def all(room, operation, day)
    answers = room.children.to_h { |child| [child, Records::Evidence.new(room).all(child)] }
    Rungs::Planning::Standing.of(answers, operation: operation, on: day)
  end

  it "says where everybody is as all records say it, and what to aim at", :seeds do
    ranges = Rungs::Planning::Ranges::ORDER.first(5)
    seeds(6, few: 2).each do |seed|
      account, room = make_teacher(children: %w[Ada Bo Cleo Dag])
      fill(room, account, Random.new(seed))
      [room.today + 1, room.today - 20, room.today - 100].product(%w[add subtract]).each do |day, operation|
        read = Records::ClassStanding.new(Records::Classroom[room.id], day).standing(operation)
        whole = all(room, operation, day)
        told = [read, whole].map do |standing|
          [standing.edges.transform_keys(&:id), standing.unheard?, ranges.map { |range| standing.new_to?(range) },
           ranges.map { |range| standing.aim(range).rung }, ranges.map { |range| standing.working_in(range) },
           standing.names.map { |child| standing.partners?(child) }]
        end
        expect(told[0]).to eq(told[1]), "#{seed} #{day} #{operation}: #{told.inspect}"
      end
    end
  end
end
