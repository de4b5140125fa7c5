# frozen_string_literal: true

module Terminal
  # The commands that need nothing but what is typed. People read titles, programs ids.
  module CoreCommands
    private

    def paths
      text, = options(["an equation"])
      all = problem(text).paths
      tell({ paths: all.map(&:to_h) }) do
        all.map do |path|
          format("%-12s %-34s work %5.1f  %s", rung_title(path.move.rung_id), path.move.title, path.work, path.says)
        end
      end
    end

    def pull
      text, = options(["an equation"])
      pull = Rungs::Strategy::Pull.new(problem(text)).to_h
      tell(pull) do
        ["Invites: #{rung_title(pull[:invites])}", *pull[:pull].map do |step|
          format("  %-12s work %5.1f", rung_title(step[:rung]), step[:work])
        end]
      end
    end

    def hear
      text, heard = options(["an equation", "the numbers heard"], seconds: Float)
      numbers = heard.split(/[\s,]+/).map { |number| whole(number) }
      raise Rungs::Error::Unreadable, "more than 200 numbers were given" if numbers.size > 200

      candidates = Rungs::Slip.heard(problem(text), numbers, seconds: @options[:seconds])
      tell({ candidates: candidates.map(&:to_h) }) { candidates.map { |each| candidate_line(each) } }
    end

    def candidate_line(each)
      move = each.move ? Rungs::Strategy::Move::ALL.fetch(each.move).title : ""
      slip = each.slip && (Rungs::Slip::ALL.find { |known| known.id == each.slip }&.title || "a slip in the count")
      format("%3d %%  %-24s %-28s %s%s", each.confidence * 100, rung_title(each.rung), move, each.why,
             slip ? " (#{slip})" : "")
    end

    def rung_title(id)
      (Rungs::Strategy::Rung::ALL[id] || Rungs::Strategy::OffLadder::ALL.fetch(id)).title
    end

    def slips
      text, answer = options(["an equation", "the answer given"], rung: String)
      diagnosis = Rungs::Slip::Diagnosis.new(problem(text), whole(answer), rung: @options[:rung])
      tell({ slips: diagnosis.slips.map(&:to_h), probe: diagnosis.probe&.to_h }) { slip_lines(diagnosis) }
    end

    def slip_lines(diagnosis)
      right = diagnosis.answer == diagnosis.problem.answer
      return ["No slip that we know gives #{diagnosis.answer}#{' (it is right)' if right}."] if diagnosis.slips.empty?

      lines = diagnosis.slips.flat_map do |match|
        [format("%3d %%  %s: %s", match.share * 100, Rungs.capital(match.title), match.why), "       Ask: #{match.ask}"]
      end
      diagnosis.probe ? lines << probe_line(diagnosis) : lines
    end

    def probe_line(diagnosis)
      probe = diagnosis.probe
      told = diagnosis.slips.map { |match| "“#{match.title}” would say #{probe.predicts.fetch(match.id)}" }
      "To tell them apart: #{probe.problem} (#{told.join(', ')})"
    end

    def next_problems
      return next_for_child unless @arguments.first.to_s.start_with?("-")

      options([], operation: String, band: String, working: String, last: String, count: Integer, year: String)
      among(:year, WeekCommands::YEARS) if @options[:year]
      working = Rungs::Strategy::Rung::ALL.fetch(chosen(:working, Rungs::Strategy::Rung::ALL.ids)).level
      last = @options.fetch(:last, "").split(",").map { |text| problem(text) }
      tell_next("Nothing to aim at with these numbers.",
                Rungs::Progress::NextProblems.propose(working: working, history: asked(last), count: counted(3),
                                                      year: @options.fetch(:year, "first"),
                                                      operation: chosen(:operation, Rungs::Problem::OPERATIONS),
                                                      band: chosen(:band, Rungs::Problem::Band::ALL.ids)))
    end

    def asked(problems)
      Rungs::Progress::NextProblems::History.asked(problems.map { |problem| problem.exact_fact || problem.fact })
    end

    def tell_next(none, proposals)
      shapes = proposals.map do |each|
        { equation: each.problem.to_s, aim: each.aim && Rungs::Strategy::Rung.at(each.aim).id, move: each.move,
          **(each.telling ? { telling: true } : {}), why: each.why }
      end
      tell({ next: shapes }) { shapes.empty? ? none : shapes.map { |each| "#{each[:equation]}  #{each[:why]}" } }
    end

    def counted(usual)
      count = @options.fetch(:count, usual)
      count.between?(1, 1000) ? count : raise(Rungs::Error::NotAProblem, "a count is a number from 1 to 1000")
    end

    def problems
      options([], situation: String, band: String, count: Integer, seed: Integer, family: String)
      pool = Rungs::Problem::Pool.new(situation: @options.fetch(:situation, "add_to.result"),
                                      band: @options.fetch(:band, "to10"),
                                      family: @options[:family])
      chance, told = random, []
      rows = pool.draw(counted(6), random: chance).map { |each| story_of(each, chance, told) }
      tell({ problems: rows }) { rows.map { |row| "#{row[:story]}  [#{row[:equation]}, #{row[:answer]}]" } }
    end

    def story_of(problem, chance, told)
      story = Rungs::Problem::Story.write(problem, random: chance, except: told)
      told << story.template.id
      { story: story.text, equation: problem.to_s, whole: problem.whole, parts: problem.parts,
        unknown: problem.unknown.to_s,
        answer: problem.answer }
    end

    def string
      options([], move: String, seed: Integer)
      raise Rungs::Error::Unreadable, "say which move it leads to: --move up_through_ten" unless @options[:move]

      string = Rungs::Activity::NumberString.for(@options[:move], random: random)
      tell({ string: string.to_h }) { [*string.problems.map(&:to_s), "Listen for: #{string.listen_for}"] }
    end

    def looks
      options([], to: Integer, from: Integer, count: Integer, seed: Integer, arrangements: Array)
      wanted = { to: 10, **@options.slice(:to, :from, :arrangements), count: counted(8) }
      looks = Rungs::Activity::QuickLook.set(random: random, **wanted)
      tell({ looks: looks.map(&:to_h) }) do
        looks.map { |look| format("%2d  %-12s %s", look.number, look.arrangement, look.ways.map(&:text).join(", ")) }
      end
    end
  end
end
