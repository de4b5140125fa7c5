# frozen_string_literal: true

require "json"
require "optparse"

module Terminal
  # The core from the command line: text for people, --json for programs, exit status 2 and one clear line on bad input.
  class Main
    HELP = <<~TEXT.freeze
          bin/rungs: the mathematics of Rungs, by itself

            bin/rungs paths "9 + 5 = ?"                          every way of working it, and what it costs
            bin/rungs pull "9 + 5 = ?"                           what it invites
            bin/rungs hear "9 + 5 = ?" "9 10 11 12 13"           which move a count fits   [--seconds S]
            bin/rungs slips "9 + 5 = ?" 13                       what a wrong answer may come from   [--rung count_on]
            bin/rungs next --operation add --band bridge --working part_whole
                                                                 what to ask next   [--last "8 + 5 = ?" --count 3]
      bin/rungs next records.csv --child Ada --on 2026-11-20
                                                           what to ask this child next   [--operation add --band bridge]
            bin/rungs problems --situation take_from.change --band bridge --count 12 --seed 7   [--family nine]
            bin/rungs string --move up_through_ten --seed 3      problems that lead to one move
            bin/rungs looks --to 10 --seed 3                     quick looks   [--from N --count N --arrangements frame,rack]
            bin/rungs activities                                 what is done with a class, with its options
            bin/rungs activity toss --option n=8 --seed 3        a set of it   [--count N]
            bin/rungs activity twins --step 2 --item 1 > two.svg one of its pictures as SVG
            bin/rungs progress records.csv --on 2026-11-20       where each child is, by operation and band
            bin/rungs listen records.csv --on 2026-11-20         whom to listen to
                                       [--places 6 --days 5 --operation add --band bridge --absent "Ada:2026-11-20"]
            bin/rungs groups records.csv --on 2026-11-20 --operation add --band bridge   [--sizes 3-5 --apart "Ada:Bo"]
            bin/rungs week records.csv --from 2026-11-23         a week for this class
                                       [--operation add --range to10 --year first --days 5 --minutes 25 --seed 1]
            bin/rungs forecast records.csv --equation "8 + 5" --on 2026-11-20
                                                                 what is likely to be heard
            bin/rungs clips --move up_through_ten --seed 3       invented scenes for the ear
                                       [--slip start_counted --band bridge --situation add_to.result --count 12]
            bin/rungs agreement codings.csv                      how alike two people heard   (columns item,a,b)
            bin/rungs picture frame 7 --fill pairs > seven.svg   a picture as SVG   [any setting of the picture]
            bin/rungs sheet practice --activity hidden_beads --option whole=10 --seed 3 > sheet.pdf
                                       [--per-page 6 --paper a4 --large --answers --down --no-name --copies 2]
            bin/rungs sheet recording --kind dots --number 8 > dots.pdf
            bin/rungs sheet cutouts --kind dominoes --option to=9 --paper letter > dominoes.pdf

          Every command but picture and sheet takes --json; the shapes are in docs/formats.md.
          Pictures: #{Rungs::Picture::KINDS.ids.join(', ')}.
    TEXT

    COMMANDS = %w[paths pull hear slips next problems string looks activities activity progress listen groups
                  week forecast clips agreement picture sheet].freeze
    # Methods that are called otherwise than their command, since Ruby has that word.
    METHODS = { "next" => :next_problems }.freeze
    WHOLE = /\A\d{1,9}\z/

    include CoreCommands
    include ActivityCommands
    include ClassCommands
    include SheetCommands
    include WeekCommands
    include ClipCommands

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
      @choices = []
    end

    def run
      command = @arguments.shift
      return help if command.nil? || %w[--help -h help].include?(command)

      known = COMMANDS.include?(command)
      raise Rungs::Error::Unknown, "there is no command “#{command}”; there are #{COMMANDS.join(', ')}" unless known
      return help if @arguments.intersect?(%w[--help -h])

      send(METHODS.fetch(command, command))
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
      rest = parser(wanted).parse(@arguments)
      if rest.size < words.size
        needed = words.size == 1 ? "one thing is" : "#{words.size} things are"
        raise Rungs::Error::Unreadable, "#{needed} needed: #{words.join(', ')}"
      end

      more = rest.size > words.size && !words.last.to_s.end_with?("…")
      raise Rungs::Error::Unreadable, "“#{rest[words.size]}” is more than was asked for" if more

      rest
    end

    def parser(wanted)
      OptionParser.new do |parser|
        parser.on("--json") { @options[:json] = true }
        parser.on("--option CHOICE") { |choice| @choices << choice } if wanted.delete(:option)
        wanted.each do |name, type|
          parser.on("--#{name}#{' VALUE' if type}", *type) { |value| @options[name] = value }
        end
      end
    end

    def whole(text)
      text.match?(WHOLE) ? text.to_i : raise(Rungs::Error::Unreadable, "“#{text}” is not a whole number")
    end

    def problem(text) = Rungs::Problem::Equation.parse(text).to_problem
    def random = Random.new(@options.fetch(:seed, 1))

    # An option that must be given, one of those known.
    def chosen(name, known)
      value = @options[name] || raise(Rungs::Error::Unreadable, "say --#{name}: #{known.join(', ')}")
      among(name, known)
      value
    end

    def among(name, known)
      return if known.include?(@options[name])

      raise Rungs::Error::Unknown, "there is no #{name} “#{@options[name]}”; there are #{known.join(', ')}"
    end

    # One shape for programs; lines for people.
    def tell(shape)
      @options[:json] ? @out.puts(JSON.pretty_generate(shape)) : @out.puts(yield)
    end
  end
end
