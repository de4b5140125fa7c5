# frozen_string_literal: true

module Rungs
  module Activity
    # What all activities share. A class says its entry and its options, draws the data of a set, and makes an item of
    # data:
    #
    #   class Twins < Kind
    #     entry id: "twins", title: "Twins", minutes: 7, finds: %w[doubles], i_can: "I can double a number."
    #     option "to", "Double to", [5, 10]
    #     def most = …              # how many different ones there are; nil for as many as one likes
    #     def draw(random, count)   # => the data of a set
    #     def item(data)            # => Item
    #   end
    #
    # The same options, seed and count give the same set; an item is made again from its place in it.
    class Kind
      # What an activity is, apart from its items. listen_for: by rung, what it sounds like here. slips: ids of guide 6
      # that it brings out. easier, harder: words for the teacher. paper: which step a practice sheet shows (by default
      # the last that asks), the steps whose words it asks with, its recording sheet, what of it is cut out. thrown:
      # true where a throw of real things can be tapped in, which given reads.
      Entry = Struct.new(:id, :title, :minutes, :i_can, :finds, :materials, :cautions, :listen_for, :slips, :easier,
                         :harder, :usual, :paper, :thrown, keyword_init: true)

      # The catalogue's side of an activity.
      module Described
        def entry(**about)
          @entry = Entry.new(materials: [], cautions: [], listen_for: {}, slips: [], usual: 6, paper: {},
                             **about).freeze
          @options = []
        end

        # @yield [choice] → its words, where they are not its id's
        # @param more [Hash] fits and reach, as Option has them
        def option(id, label, choices, **more, &names)
          @options << Option.new(id: id, label: label, choices: choices.freeze, names: names, **more).freeze
        end

        attr_reader :options

        Entry.members.each { |name| define_method(name) { @entry[name] } }
        alias about i_can

        # Whether a throw of real things can be tapped in.
        def thrown? = !@entry.thrown.nil?

        # @param chosen [Hash{String => Object}] by option id; what is missing is the default
        # @param settings [Hash{Symbol => Object}] of the class: fill, whole, fingers, turned, minus (as it is said)
        # @return [Kind]
        # @raise [Error::Unknown] for an option or a choice there is not
        def with(chosen = {}, settings = {})
          strange = chosen.keys.map(&:to_s) - options.map(&:id)
          if strange.any?
            has = options.empty? ? "no options" : options.map(&:id).join(", ")
            raise Error::Unknown, "#{id} has no option “#{strange.first}”; it has #{has}"
          end

          given = chosen.transform_keys(&:to_s)
          new(options.to_h { |each| [each.id, given.key?(each.id) ? each.read(given[each.id]) : each.default] },
              settings)
        end

        # Whether its items end with a sentence.
        def written?
          @written = !with.items(seed: 1, count: 1).first.written.nil? if @written.nil?
          @written
        end

        # Good choices for a class.
        # @param at_work [Hash{Symbol => String}] band and operation it is at; empty where that is not known yet
        # @return [Hash{String => Object}] a choice for every option
        def fitted(at_work) = options.to_h { |each| [each.id, each.fit(at_work)] }

        # @param chosen [Hash{String => Object}] a choice for every option
        # @return [Integer, nil] the largest whole of its items; nil where its options do not say
        def reach(chosen) = options.filter_map { |each| each.reach_of(chosen[each.id]) }.max

        def to_h
          { id: id, title: title, i_can: i_can, minutes: minutes, materials: materials.map(&:to_h), cautions: cautions,
            listen_for: listen_for.map { |rung, words| { rung: rung, words: words } }, slips: slips }
        end
      end
      extend Described

      MOST_ITEMS = 300
      # What a class says, where it says nothing else.
      USUAL = Picture::Staging::USUAL.merge(turned: "two", minus: "take away", signs: "all").freeze
      READ_BACK = "Read them all. What do you notice?"

      attr_reader :chosen, :settings

      # @param chosen [Hash{String => Object}] a choice for every option
      def initialize(chosen, settings)
        @chosen = chosen.freeze
        @settings = USUAL.merge(settings).freeze
      end

      # @param seed [Integer]
      # @param count [Integer, nil] how many; by default as many as are usual, or there are
      # @return [Array<Item>]
      # @raise [Error::TooMany] saying how many there are
      def items(seed:, count: nil) = data(seed: seed, count: count).map { |each| item(each) }

      # @return [Array<Hash>] the plain data of the set
      def data(seed:, count: nil)
        refuse("there are none of these; choose other numbers") if most&.zero?
        number = count || [self.class.usual, most].compact.min
        raise Error::NotAProblem, "a set has 1 to #{MOST_ITEMS} items" unless number.between?(1, MOST_ITEMS)
        if most && number > most
          raise Error::TooMany, "#{number} different items were asked for, but there are #{most} in all " \
                                "(#{self.class.title.downcase})"
        end

        draw(Random.new(seed), number)
      end

      # What a set ends with: all its sentences, read back.
      # @param items [Array<Item>]
      # @return [Item]
      def closing(items)
        written = items.filter_map(&:written)
        shown = items.last.steps.last.layout
        make(ask: READ_BACK, answer: nil, data: {}, equation: nil,
             steps: [step("write", shown, READ_BACK, lines: written)])
      end

      # @return [Item, nil] one item of a set, from its place in it; nil past the end
      def item_at(index, seed:, count: nil)
        there = data(seed: seed, count: count)[index]
        there && item(there)
      end

      # What is thrown or tapped in from outside, as an item's data.
      # @raise [Error::NotAProblem] where it cannot be, or nothing is thrown here
      def given(_input) = refuse("nothing is thrown here")

      # A way that was offered, as it is kept.
      # @param input [String] as written
      # @return [Picture::Way] with groups where it was shown on a picture
      # @raise [Error::NotAProblem]
      def way(item, input) = written(WrittenWay.text(input, Integer(item.answer), turned: settings[:turned]))

      # What each rung would say with these numbers; only those that can show.
      # @param item [Item]
      # @return [Hash{String => String}] by the id of a rung, lowest first
      def sounds(item)
        return self.class.listen_for unless item.problem

        rungs = item.problem.affords.to_h { |level| [level, Strategy::Path.usual(item.problem, level).says] }
        rungs.sort.to_h.transform_keys { |level| Strategy::Rung.at(level).id }
      end

      # Whether an item can be seen by what is missing.
      def missing?(_item) = false

      # Whether an item has larger numbers than a class works with.
      # @param _data [Hash] of the item
      # @param largest [Integer]
      def beyond?(_data, largest) = (self.class.reach(chosen) || 0) > largest

      # More that programs are told: chances, and what is expected.
      # @return [Hash]
      def figures = {}

      # The same with the next smaller or larger numbers.
      # @param direction ["easier", "harder"]
      # @return [Hash{String => Object}, nil] the choices of that set; nil where there is none
      def turn(direction)
        sized = self.class.options.find { |each| each.choices.size > 1 && each.choices.all?(Integer) } or return
        sizes = sized.choices.sort
        place = sizes.index(chosen[sized.id]) + (direction == "easier" ? -1 : 1)
        chosen.merge(sized.id => sizes[place]) if place.between?(0, sizes.size - 1)
      end

      # What a teacher may tell of what has come so far: chances, and what is missing.
      # @param seen [Array<Hash>] the data of the items until now
      # @return [Array<String>] sentences
      def notes(_seen) = []

      # @return [Integer, nil] how many different items there are; nil for as many as one likes
      def most = nil

      private

      def option(id) = chosen.fetch(id.to_s)
      def written(text) = Picture::Way.new(text: text, groups: [])
      def refuse(reason) = raise(Error::NotAProblem, reason)

      # An item begins with its own question, at what is there to be seen then.
      # @param shown [Picture::Kind, Picture::Layout, nil] nil where nothing is asked
      # @param tell [String, nil] what the teacher alone is told with it
      # @param waits [Boolean] whether that picture is hidden until it is asked for
      # @param paper [Hash] as Item has it
      def make(ask:, answer:, data:, steps:, shown: nil, tell: nil, waits: nil, falls: nil, problem: nil,
               equation: problem&.to_s, told: {}, paper: {})
        first = shown && step("ask", shown, ask, tell: tell || answered(answer), asked: waits, falls: falls)
        Item.new(ask: ask, answer: answer, problem: problem, equation: in_words(equation), data: data,
                 steps: [first, *steps].compact, told: { story: "", **told }, paper: paper)
      end

      def answered(answer) = ("Answer: #{answer}." if answer)

      # A sentence with the signs that the class has met.
      def in_words(sentence) = InWords.say(sentence, settings[:signs])
      def sentence_picture(text) = Picture::Sentence.new(in_words(text))

      # What a step is called where it is not said.
      TITLES = { "ask" => "Ask", "look" => "Look", "check" => "Check", "write" => "Write it" }.freeze

      # @param shown [Picture::Kind, Picture::Layout]
      def step(name, shown, words, title: TITLES.fetch(name), equation: nil, **more)
        layout = shown.is_a?(Picture::Layout) ? shown : shown.layout
        written = in_words(equation)
        Step.new(name: name, title: title, layout: layout, words: words, equation: written, minus: settings[:minus],
                 **more)
      end

      def read(equation) = "Read it: #{Aloud.read(equation, minus: settings[:minus])}."

      # How pictures are drawn for the class.
      def pictured = settings.slice(*Picture::Staging::USUAL.keys)

      def problem(text) = Problem::Equation.parse(text).to_problem
      def word(number) = NumberWords.say(number)

      # "1 is", "4 are"
      def are(number) = "#{number} #{number == 1 ? 'is' : 'are'}"

      # "1 bead", "4 beads"
      def many(number, one, some = "#{one}s") = "#{number} #{number == 1 ? one : some}"

      # So many different things, in an order that is not that of counting.
      def mixed(things, count, random)
        taken = things.sample(count, random: random)
        return taken if taken.size < 3

        taken = taken.rotate(1) while taken == taken.sort || taken == taken.sort.reverse
        taken
      end

      def frame(parts, **more) = Picture::Frame.new(parts, fill: settings[:fill], **more)
      def objects(parts, thing, **more) = Picture::Objects.new(parts, thing: thing, **more)

      # To be coloured.
      def outlined(number, thing)
        layout = objects([number], thing).layout
        layout.marks = layout.marks.map { |mark| Picture::Mark.new(**mark.to_h, tone: :b, group: 1) }
        layout
      end

      def parts(numbers, **more) = Picture::Parts.new(numbers, place: settings[:whole], **more)

      # A line with its jumps, as long as the numbers need.
      def line(start, jumps = [], **more)
        Picture::Line.new(to: Picture::Line.reach([start, *jumps].max), start: start, jumps: jumps, **more)
      end
    end
  end
end
