# frozen_string_literal: true

module Records
  # A week proposed from the records of a class: its empty days filled, another in its place, one part exchanged.
  class Proposal
    # What is another in another week; the rest goes by what is known.
    TURNS = %w[focus practise look_back].freeze
    # What places in a day were called before.
    CALLED = { "main" => "focus", "practice" => "practise", "game" => "practise", "compare" => "look_back",
               "facts" => "warm_up" }.freeze

    # @param week [Week]
    # @param today [Date]
    def initialize(week, today)
      @week = week
      @room = week.room
      @today = today
    end

    # Fills the days that have nothing, from today on: all of them or, where one fails, none.
    # @param without [Array<String>] what is not wanted
    def fill(without: [])
      DB.transaction do
        @week.record_aim # holds the week's row
        @week.forget
        open = days_to_come.select { |date| @week.parts_on(date).empty? }
        plan(planner(open, without: without).days) if open.any?
        @week.forget
      end
    end

    # What the week is about beside its days: the check, other numbers, whom to get to know.
    # @return [Rungs::Planning::Outlook]
    def outlook
      Rungs::Planning::Outlook.new(days: @week.dates.reject { |date| @week.off?(date) }, aim: @week.goal,
                                   standing: @week.standing, seed: seed_of(@week.seed))
    end

    # Another week in the place of what was proposed and has not begun.
    # @return [Integer] its seed, by which it can be taken back
    def propose_another
      DB.transaction do
        @week.record_seed(@week.seed + 1)
        old = days_to_come.select { |date| proposed?(date) }.flat_map { |date| @week.parts_on(date) }
        old.each { |part| part.merge_details(instead: @week.seed) }
        @week.take_out(old)
        fill(without: old.select { |part| TURNS.include?(part.details.purpose) }.map { |part| key(part) })
      end
      @week.seed
    end

    # The week as it was before the one of that seed was proposed.
    def take_back(seed)
      DB.transaction do
        @week.take_out(@week.parts.select { |part| part.details.proposed == seed && !part.begun? })
        instead = Sequel.cast(Sequel.lit("details ->> 'instead'"), Integer)
        of_week.where(instead => seed).update(removed_at: nil)
        @week.record_seed([seed - 1, 1].max)
        @week.forget
      end
    end

    # The next best in the place of a part that has not begun.
    # @return [Boolean] whether there is one
    def exchange(part)
      found = next_best(part) or return false
      gone = [*part.details.passed_over, key(part)]
      part.update(kind: found.kind.id, minutes: found.minutes,
                  details: details(found).with(passed_over: gone).to_jsonb)
      @week.forget
      true
    end

    private

    def days_to_come = @week.dates.select { |date| date >= @today && !@week.off?(date) }

    # Whether a day has nothing but what was proposed.
    def proposed?(date)
      parts = @week.parts_on(date)
      parts.any? && parts.all? { |part| part.details.why && !part.begun? && part.details.by_hand.empty? }
    end

    # As Rungs::Planning::Candidates::Candidate is called.
    def key(part) = [part.kind, part.details.options["situation"]].compact.join(" ")

    def next_best(part)
      date = part.lesson.held_on
      others = @week.parts_on(date).reject { |each| each.id == part.id }
      gone = part.details.passed_over
      week = planner([date], minutes: [@week.minutes - others.sum(&:minutes), part.minutes].max, except: part,
                             without: [*gone, key(part)], seed: @week.seed + gone.size + 1)
      role = part.details.purpose || Rungs::Planning::Candidates.role_of(part.activity).to_s
      role = CALLED.fetch(role, role)
      fresh = others.any? { |each| @week.new_things(each).any? }
      week.next_best(role.to_sym, beside: others.map(&:activity), has_new: fresh)
    end

    def planner(days, seed: @week.seed, minutes: @week.minutes, except: nil, without: [])
      has = @week.shelf if @week.shelf.any?
      history, class_standing = @week.history, @week.class_standing
      met = history.last_days(up_to: @week.dates.last, except: except)
      Rungs::Planning::ProposedWeek.new(days: days, aim: @week.goal, standing: @week.standing, other: @week.other,
                                        seed: seed_of(seed), met: met, due: history.due_again(before: @week.monday),
                                        done: history.focus_days(before: days.first || @week.monday),
                                        times_told: class_standing.times_told, wrong: class_standing.wrong,
                                        minutes: minutes,
                                        recent: recent, slips: class_standing.slips, without: without, has: has,
                                        settings: @room.activity_settings)
    end

    # Another for each week, the same for the same.
    def seed_of(seed) = (@week.monday.jd % 9999) + seed

    # All parts at once, on days that have nothing.
    # @param days [Array<Rungs::Planning::ProposedWeek::Day>]
    def plan(days)
      lessons = @room.lessons_for(days.map(&:date))
      LessonPart.multi_insert(days.flat_map do |day|
        day.parts.each_with_index.map do |part, place|
          { classroom_id: @room.id, lesson_id: lessons.fetch(day.date), place: place + 1, kind: part.kind.id,
            minutes: part.minutes, details: details(part).to_jsonb }
        end
      end)
    end

    # Items that were told are kept themselves; of a story with whom each set of numbers is for.
    def details(part)
      items, sets = one_a_level(part)
      kept = part.fixed ? items.each_with_index.to_h { |data, place| [place, data] } : nil
      Details.new({ options: part.options, seed: part.seed, count: kept ? 0 : items.size, why: part.reason,
                    purpose: part.role.to_s, range: part.range, proposed: @week.seed, slip: part.slip,
                    **(kept ? { thrown: kept } : {}), **(items.size > 1 && sets.any? ? { sets: sets } : {}) })
    end

    # The smallest numbers of a level are for all who have some of it.
    def one_a_level(part)
      return [part.items, []] if part.sets.to_a.empty?

      sets = part.sets.group_by(&:level).map do |level, same|
        { level: level, children: same.flat_map(&:names).map(&:id) }
      end
      [part.items.uniq { |data| data[:number_set] }, sets]
    end

    def of_week = parts_between(@week.monday..@week.monday + 6)

    def parts_between(days)
      LessonPart.where(lesson: @room.lessons_dataset.unordered.where(held_on: days))
    end

    # The items of the last school days, and of what is planned in this week.
    def recent
      days = Rungs::SchoolDays.before(@week.monday, Rungs::Planning::ProposedWeek::AGAIN).first..@week.monday + 6
      parts = parts_between(days).not_removed.eager(:lesson).all
      parts.each { |part| part.lesson.read_with(classroom: @room) }
      parts.flat_map { |part| part.items.all_data.map { |data| [part.kind, data] } }
    end
  end
end
