# frozen_string_literal: true

require "zlib"

module Demo
  # A made-up class heard over eight weeks. Each child has a rung by which it mostly works things out, per operation and
  # band, that drifts upward at its own pace; what is seen overlaps with the rungs beside it. Facts become known one by
  # one, easy ones long before the others. The simulation decides who says what
  # and writes it through the same records layer as the screens do. One seed, one class.
  class Simulation
    CHILDREN = %w[Anouk Bashir Calla Dov Eluned Faraz Greta Hamish Imke Jomo Kirsi Lorcan Mirela Nuri Oisin Petra Quilla
                  Rohan Sefa Tove Wanja Zuri].freeze
    QUIET = "Greta"
    SLID_BACK = "Petra"
    # When the quiet child was heard, once a lesson at most.
    QUIET_WEEKS = [1, 3].freeze
    WEEKS = 8
    KINDS = [%w[add_to.result add], %w[take_from.result subtract], %w[together.total add]].freeze
    # How much easier or harder a band is than "to 10", in rungs.
    BANDS = { "to5" => 1.1, "to10" => 0.0, "teens" => -0.5, "bridge" => -1.2 }.freeze

    # In which week a fact of each range comes to be known by a child in the middle; those that tell nearly nothing come
    # in a fraction of that time.
    LEARNT = { "to5" => 4, "to10" => 9, "teens" => 9, "bridge" => 22 }.freeze
    EASY = 0.2

    # @param classroom [Records::Classroom] with no lessons yet
    # @param account [Records::Account] who teaches it
    # @param until_day [Date] the last day that may have a lesson
    def initialize(classroom, account, until_day:, seed: 26)
      @classroom = classroom
      @recorder = Records::Recorder.new(classroom, account, carry: false)
      @until = until_day
      @random = Random.new(seed)
      @stories = []
    end

    def run
      Records::Child.enrol(@classroom, CHILDREN)
      @children = @classroom.children_dataset.order(:name).all
      @start = @children.to_h { |child| [child.name, 1.2 + (@random.rand * 2.2)] }
      @pace = @children.to_h { |child| [child.name, 0.1 + (@random.rand * 0.28)] }
      lesson_days.each { |day| DB.transaction { teach(day) } }
      Records::Ledger.new(@classroom).rebuild
    end

    private

    # Four lessons a week, the last on the day before the last school day begins, so that there is someone to hear.
    def lesson_days
      ((@until - (WEEKS * 7))..(@until - 1)).select { |day| [1, 2, 4, 5].include?(day.wday) }
    end

    def teach(day)
      lesson = @classroom.start_lesson(day)
      present = @children.reject { |child| away?(child) }
      week = ((day - (@until - (WEEKS * 7))).to_i / 7.0)
      2.times { |part| pose(lesson, day, part, week, present) }
    end

    def pose(lesson, day, part, week, present)
      situation, = KINDS.sample(random: @random)
      band = if week < 2
               %w[to5
                  to10].sample(random: @random)
             else
               %w[to10 to10 to10 teens bridge bridge].sample(random: @random)
             end
      posed = lesson.problems.map(&:problem)
      problem = Rungs::Problem::Pool.new(situation: situation, band: band).draw(1, random: @random, except: posed).first
      story = Rungs::Problem::Story.write(problem, random: @random, except: @stories.last(8))
      @stories << story.template.id
      at = @classroom.midnight(day) + (9 * 3600) + (part * 720)
      told = Rungs::Activity::POSED.data_for(problem, story.text, template: story.template.id)
      listen(lesson.course.tell([told], show: false, at: at), problem, week, present, at)
      lesson.associations.delete(:problems)
    end

    def listen(posed, problem, week, present, at)
      quiet, others = present.partition { |child| child.name == QUIET }
      heard = others.sample(14, random: @random)
      heard[0, 1] = quiet if quiet.any? && QUIET_WEEKS.include?(week.floor) && posed.place == 1
      heard.each_with_index { |child, index| answer(child, posed, problem, week, at + 40 + (index * 38)) }
    end

    def answer(child, posed, problem, week, at)
      code = show(child, problem, week)
      wrong = code != "known_fact" && @random.rand < 0.1
      @recorder.record(child: child, problem: posed, code: code, client_key: uuid, happened_at: at,
                       help: help, used: used(code), move: move(problem, code),
                       answer: (slip(problem, code) if wrong && code != "no_answer"))
    end

    # The rung seen this time: a known fact at once; else the one mostly worked on 70 times in 100, the one below, above
    # or two below, as far as the problem affords it.
    def show(child, problem, week)
      return %w[no_answer guess unseen].sample(random: @random) if @random.rand < 0.05

      mostly = level(child, problem, week)
      step = [[0, 0.7], [-1, 0.88], [1, 0.97], [-2, 1.0]].find { |_, below| @random.rand < below }.first
      return "known_fact" if learnt(child, problem) <= week

      wanted = (mostly + step).clamp(1, 4)
      Rungs::Strategy::Rung.at((problem.affords - [5]).min_by { |rung| [(rung - wanted).abs, rung] }).id
    end

    # The week from which a child knows a fact: drawn by itself, so that it is the same however often it is asked.
    def learnt(child, problem)
      fact = problem.exact_fact || problem.fact
      chance = Random.new(Zlib.crc32([child.name, problem.operation, *fact].join(" ")))
      middle = LEARNT.fetch(problem.band) * (problem.tells? ? 1 : EASY) * (problem.add? ? 1 : 1.3)
      (middle * (0.25 + (1.5 * chance.rand))) - ((@start[child.name] - 1.8) * 3)
    end

    def level(child, problem, week)
      height = @start[child.name] + BANDS.fetch(problem.band) + (@pace[child.name] * week) - (problem.add? ? 0 : 0.5)
      height -= 1.6 if child.name == SLID_BACK && week > 5.5
      height.round.clamp(1, 4)
    end

    def slip(problem, code)
      by_one = problem.add? ? -1 : 1
      by_one = [-1, 1].sample(random: @random) unless code == "count_on"
      [problem.answer + by_one, 0].max
    end

    def move(problem, code)
      rung = Rungs::Strategy::Rung::ALL[code]
      rung && @random.rand < 0.6 ? Rungs::Strategy::Path.usual(problem, rung.level)&.move&.id : nil
    end

    USED = { "count_all" => %w[objects fingers drawing], "count_on" => %w[fingers line nothing],
             "part_whole" => %w[rack frame nothing],
             "make_ten" => %w[frame nothing], "known_fact" => %w[nothing] }.freeze

    def used(code) = USED.key?(code) && @random.rand < 0.5 ? [USED.fetch(code).sample(random: @random)] : []
    def help = [["alone", 0.82], ["prompted", 0.95], ["shown", 1.0]].find { |_, below| @random.rand < below }.first
    def away?(_child) = @random.rand < 0.06

    def uuid
      digits = Array.new(16) { @random.rand(256) }.pack("C*").unpack1("H*")
      [digits[0, 8], digits[8, 4], "4#{digits[13, 3]}", "8#{digits[17, 3]}", digits[20, 12]].join("-")
    end
  end
end
