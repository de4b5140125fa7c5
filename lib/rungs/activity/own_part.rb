# frozen_string_literal: true

module Rungs
  module Activity
    # What a teacher wrote (guide 18): lines to say, and number sentences, each an item with a picture or none. Without
    # a teacher's own, its items are an example of one.
    class OwnPart < Kind
      include Bare

      # None, or the picture that each sentence is checked with.
      PICTURES = ["none", *Picture::KINDS.ids].freeze
      # By title: what is said, and what the tablet says beside it.
      EXAMPLES = { "Clap and count" => ["Clap with me, and count.", "Three times, then two.",
                                        "How many claps was that?"],
                   "Steps to the gate" => ["How many steps is it to the gate?", "Let all guess first.",
                                           "Walk, and count each step."],
                   "A book of boats" => ["What do you see on this page?", "Cover one boat with a hand.",
                                         "How many boats are there now?"] }.freeze

      entry id: "own_part", title: "A part of your own", minutes: 10, finds: %w[own], usual: 1,
            paper: { recording: "parts", cutouts: %w[number_cards] },
            i_can: "I can say what I did.",
            listen_for: { "count_all" => "counts everything from one", "count_on" => "keeps one number and counts on",
                          "part_whole" => "uses parts that are known", "make_ten" => "goes through ten on purpose",
                          "known_fact" => "knows it at once" },
            slips: []

      option("picture", "Picture", PICTURES) { |id| id == "none" ? "none" : Picture::KINDS.fetch(id).title.downcase }

      # @param lines [Array<Hash>] { say: } for the board, { tell: } for the tablet alone
      # @param sentences [Array<String>] "7 + 5 = □"
      # @return [Array<Hash>] the data of its items: the words, where there are any or nothing else; each sentence
      def self.written(lines, sentences, title:)
        words = { title: title, lines: lines } if lines.any? || sentences.empty?
        [words, *sentences.map { |sentence| { equation: sentence } }].compact
      end

      def most = EXAMPLES.size

      def draw(random, count)
        EXAMPLES.to_a.sample(count, random: random).map do |title, (first, aside, last)|
          { title: title, lines: [{ say: first }, { tell: aside }, { say: last }] }
        end
      end

      def hand(data) = data[:equation] ? in_order(data[:equation]) : super
      def numbers_at(data) = data[:equation].to_s.scan(/\d+/).map(&:to_i)

      def item(data) = data[:equation] ? sentence(problem(data[:equation]), data) : said(data)
      def problem_of(data) = data[:equation] && problem(data[:equation])
      def title = own&.title || super
      def about = own ? item(own.items.first).ask : super
      def cautions = [*super, own&.caution].compact
      def materials = own ? own.materials : super

      # As it was written, where it was.
      # @return [Own::Part, nil]
      def own = settings[:own]

      # The item whose picture it stands with: its first sentence, where it has one.
      def face = own && item(own.items.find { |data| data[:equation] } || own.items.first)

      # A way of any number is one; of words, whatever is said.
      def way(item, input) = item.answer ? super : spoken(input)

      private

      def limits = "the sentence has no answer then"

      def remade(data, *numbers)
        text = renumbered(data[:equation], numbers)
        { **data, equation: text } if text
      end

      # Letters of what a child said.
      SPOKEN = 60
      private_constant :SPOKEN

      def spoken(input)
        text = input.to_s.strip
        refuse("write what was said, in #{SPOKEN} letters at most") unless text.size.between?(1, SPOKEN)
        written(text)
      end

      # Its words, a line a step; what is for the tablet alone stands with the line before it.
      def said(data)
        all = turns(data)
        names = ["ask", *["look"] * [all.size - 2, 0].max, "write"]
        make(ask: all.first[:say], answer: nil, data: data, equation: nil, paper: { sentences: [], shown: false },
             steps: all.zip(names).map { |turn, name| spoken_step(turn, name) })
      end

      def spoken_step(turn, name)
        step(name, Picture::Lines.new(turn[:say]), turn[:say], title: "Say", alone: true, tell: turn[:tell])
      end

      # @return [Array<Hash>] { say:, tell: }; the title is said where no line is
      def turns(data)
        lines = data[:lines].to_a
        lines = [{ say: data[:title] }, *lines] unless lines.first&.key?(:say)
        lines.slice_when { |_, line| line.key?(:say) }.map do |say, *tell|
          { say: say[:say], tell: (tell.map { |line| line[:tell] }.join(" ") if tell.any?) }
        end
      end

      def sentence(asked, data)
        make(ask: in_words(asked.to_s), answer: asked.answer, problem: asked, data: data,
             shown: sentence_picture(asked.to_s), steps: sentence_steps(asked))
      end

      # On the picture that was chosen, where it can show this sentence; without one, as it is.
      def sentence_steps(asked)
        solved = asked.solved.to_s
        shown = Drawn.new(as_solved(asked), option(:picture), **pictured).steps
        [*shown.map { |each| step("check", each.layout, "Look: is it so?") },
         step("write", sentence_picture(solved), read(solved), equation: solved)]
      end

      # The whole sum or difference, to be seen.
      def as_solved(asked)
        return asked if asked.two_sided?

        problem("#{asked.solved.to_s.split(' = ').find { |side| side.match?(/[+−]/) }} = ?")
      end
    end
  end
end
