# frozen_string_literal: true

require "json"
require "optparse"

module Terminal
  # The core from the command line: text for people, --json for programs, exit status 2 and one clear line on bad input.
  class Main
    HELP = <<~TEXT.freeze
      bin/rungs: the mathematics of Rungs, by itself

        bin/rungs paths "9 + 5 = ?"                          every way of working it, and what it costs
        bin/rungs hear "9 + 5 = ?" "9 10 11 12 13"           which move a count fits   [--seconds S]
        bin/rungs slips "9 + 5 = ?" 13                       what a wrong answer may come from   [--rung count_on]
        bin/rungs problems --situation take_from.change --band bridge --count 12 --seed 7   [--family nine]
        bin/rungs string --move up_through_ten --seed 3      problems that lead to one move
        bin/rungs looks --to 10 --seed 3                     quick looks   [--from N --count N --arrangements frame,rack]
        bin/rungs progress records.csv --on 2026-11-20       where each child is, by operation and band
        bin/rungs listen records.csv --on 2026-11-20         whom to listen to   [--places 6 --days 5 --operation add --band bridge --absent "Ada:2026-11-20"]
        bin/rungs groups records.csv --on 2026-11-20 --operation add --band bridge   [--sizes 3-5 --apart "Ada:Bo"]
        bin/rungs picture frame 7 --fill pairs > seven.svg   a picture as SVG   [any setting of the picture]

      Every command but picture takes --json; the shapes are in docs/formats.md.
      Pictures: #{Rungs::Picture::KINDS.ids.join(', ')}.
    TEXT

    COMMANDS = %w[paths hear slips problems string looks progress listen groups picture].freeze
    WHOLE = /\A\d{1,9}\z/

    # @param arguments [Array<String>]
    # @return [Integer] the exit status
    def self.run(arguments, out: $stdout, err: $stderr)
      new(arguments, out).run
    rescue Rungs::Error, OptionParser::ParseError => e
      err.puts "bin/rungs: #{e.message.lines.first.strip}"
      2
    end

    def initialize(arguments, out)
      @arguments = arguments.map { |each| readable(each) }
      @out = out
      @options = {}
    end

    def run
      command = @arguments.shift
      return help if command.nil? || %w[--help -h help].include?(command)
      raise Rungs::Error::Unknown, "there is no command “#{command}”; there are #{COMMANDS.join(', ')}" unless COMMANDS.include?(command)
      return help if @arguments.intersect?(%w[--help -h])

      send(command)
      0
    end

    private

    def help
      @out.puts HELP
      0
    end

    def readable(argument)
      text = argument.dup.force_encoding(Encoding::UTF_8)
      raise Rungs::Error::Unreadable, "the arguments are not text" unless text.valid_encoding?

      text
    end

    # Options by name and type (nil: a flag); what is left are the words of the command.
    def options(words, **wanted)
      parser = OptionParser.new
      parser.on("--json") { @options[:json] = true }
      wanted.each { |name, type| type ? parser.on("--#{name} VALUE", type) { |value| @options[name] = value } : parser.on("--#{name}") { @options[name] = true } }
      rest = parser.parse(@arguments)
      raise Rungs::Error::Unreadable, "#{words.size == 1 ? 'one thing is' : "#{words.size} things are"} needed: #{words.join(', ')}" if rest.size < words.size
      raise Rungs::Error::Unreadable, "“#{rest[words.size]}” is more than was asked for" if rest.size > words.size && !words.last.to_s.end_with?("…")

      rest
    end

    def whole(text) = text.match?(WHOLE) ? text.to_i : raise(Rungs::Error::Unreadable, "“#{text}” is not a whole number")
    def problem(text) = Rungs::Problem::Equation.parse(text).to_problem
    def random = Random.new(@options.fetch(:seed, 1))

    # One shape for programs; lines for people.
    def tell(shape)
      @options[:json] ? @out.puts(JSON.pretty_generate(shape)) : @out.puts(yield)
    end

    def paths
      text, = options(["an equation"])
      all = problem(text).paths
      tell({ paths: all.map(&:to_h) }) { all.map { |path| format("%-12s %-18s work %5.1f  %s", path.move.rung_id, path.move.id, path.work, path.says) } }
    end

    def hear
      text, heard = options(["an equation", "the numbers heard"], seconds: Float)
      numbers = heard.split(/[\s,]+/).map { |number| whole(number) }
      raise Rungs::Error::Unreadable, "more than 200 numbers were given" if numbers.size > 200

      candidates = Rungs::Strategy::Hearing.of(problem(text), numbers, seconds: @options[:seconds])
      tell({ candidates: candidates.map(&:to_h) }) do
  candidates.map do |each|
  format("%3d %%  %-12s %-14s %s%s", each.confidence * 100, each.rung, each.move, each.why, (" (#{each.slip})" if each.slip))
end
end
    end

    def slips
      text, answer = options(["an equation", "the answer given"], rung: String)
      diagnosis = Rungs::Slip::Diagnosis.new(problem(text), whole(answer), rung: @options[:rung])
      tell({ slips: diagnosis.slips.map(&:to_h), probe: diagnosis.probe&.to_h }) { slip_lines(diagnosis) }
    end

    def slip_lines(diagnosis)
      return ["No slip that we know gives #{diagnosis.answer}#{' (it is right)' if diagnosis.answer == diagnosis.problem.answer}."] if diagnosis.slips.empty?

      lines = diagnosis.slips.flat_map { |match| [format("%3d %%  %s: %s", match.share * 100, match.id, match.why), "       Ask: #{match.ask}"] }
      probe = diagnosis.probe
      probe ? lines << "To tell them apart: #{probe.problem} (#{probe.predicts.map { |slip, answer| "#{slip} would say #{answer}" }.join(', ')})" : lines
    end

    def problems
      options([], situation: String, band: String, count: Integer, seed: Integer, family: String)
      pool = Rungs::Problem::Pool.new(situation: @options.fetch(:situation, "add_to.result"), band: @options.fetch(:band, "to10"), family: @options[:family])
      count = @options.fetch(:count, 6)
      raise Rungs::Error::NotAProblem, "a count is a number from 1 up" unless count.positive?

      chance, told = random, []
      rows = pool.draw(count, random: chance).map { |each| story_of(each, chance, told) }
      tell({ problems: rows }) { rows.map { |row| "#{row[:story]}  [#{row[:equation]}, #{row[:answer]}]" } }
    end

    def story_of(problem, chance, told)
      story = Rungs::Problem::Story.write(problem, random: chance, except: told)
      told << story.template.id
      { story: story.text, equation: problem.to_s, whole: problem.whole, parts: problem.parts, unknown: problem.unknown.to_s, answer: problem.answer }
    end

    def string
      options([], move: String, seed: Integer)
      raise Rungs::Error::Unreadable, "say which move it leads to: --move up_through_ten" unless @options[:move]

      string = Rungs::Activity::NumberString.for(@options[:move], random: random)
      tell({ string: string.to_h }) { [*string.problems.map(&:to_s), "Listen for: #{string.listen_for}"] }
    end

    def looks
      options([], to: Integer, from: Integer, count: Integer, seed: Integer, arrangements: Array)
      raise Rungs::Error::NotAProblem, "a count is a number from 1 to 200" unless @options.fetch(:count, 8).between?(1, 200)

      looks = Rungs::Activity::QuickLook.set(to: 10, random: random, **@options.slice(:to, :from, :count, :arrangements))
      tell({ looks: looks.map(&:to_h) }) { looks.map { |look| format("%2d  %-12s %s", look.number, look.arrangement, look.picture.ways.map(&:text).join(", ")) } }
    end

    include ClassCommands

    SETTINGS = { fill: String, style: String, place: String, show: String, arrangement: String, thing: String,
                 size: Integer, struck: Integer, moved: Integer, hidden: String, seed: Integer, to: Integer,
                 card: nil, heap: nil, compare: nil }.freeze

    def picture
      id, *numbers = options(["a picture", "numbers…"], **SETTINGS)
      settings = @options.except(:json).to_h { |name, value| [name, setting(name, value)] }
      @out.puts Drawings::Picture.draw(Rungs::Picture::KINDS.fetch(id).from(numbers.map { |number| whole(number) }, **settings).layout)
    end

    # A name where the core takes one; hidden is a number or a side.
    def setting(name, value)
      return value unless %i[fill style place show hidden].include?(name)

      value.match?(WHOLE) ? value.to_i : value.to_sym
    end
  end
end
