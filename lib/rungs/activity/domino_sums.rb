# frozen_string_literal: true

module Rungs
  module Activity
    # A domino is laid, its total said without counting if one can, its sentence written beneath.
    class DominoSums < Kind
      entry id: "domino_sums", title: "Domino sums", minutes: 8, finds: %w[games see], usual: 6,
            paper: { recording: "parts", cutouts: %w[dominoes] },
            i_can: "I can say how many dots a domino has.",
            materials: [Material.new(thing: "set of dominoes", per: "pair", count: 1, instead: "cards with dots")],
            roles: %i[practise],
            ranged: true,
            cautions: %w[small_things],
            listen_for: { "count_all" => "touches and counts every dot", "count_on" => "“six … seven, eight, nine”",
                          "part_whole" => "“three and three, so seven”", "make_ten" => "“six and four fill the ten”",
                          "known_fact" => "says it at a glance" },
            slips: %w[one_short one_over],
            easier: "Dominoes to double six.", harder: "Dominoes to double nine."

      option "to", "To double", [6, 9], fits: :within, reach: ->(ends) { 2 * ends }
      by_hand("one end", "the other") { |data| data[:ends] }

      def most = dominoes.size

      # No domino twice.
      def draw(random, count) = dominoes.sample(count, random: random).map { |ends| { ends: ends } }

      def problem_of(data) = problem("#{data[:ends].join(' + ')} = ?")

      def item(data)
        one, other = data[:ends]
        total = one + other
        domino = Picture::Dots.new("domino", data[:ends])
        make(
          ask: "#{one} and #{other}: how many dots?", answer: total,
          problem: problem_of(data), data: data,
          shown: domino, falls: true,
          steps: [
            step("look", domino, "Can you see it without counting each dot?"),
            step("check", frame([one, other], size: total > 10 ? 20 : 10), "#{total} on the frame."),
            step("write", parts(data[:ends]), read("#{one} + #{other} = #{total}"),
                 equation: "#{one} + #{other} = #{total}")
          ]
        )
      end

      private

      def limits = "a domino has 0 to #{option(:to)} at each end"
      def remade(_data, *ends) = ({ ends: ends } if ends.max <= option(:to))

      def dominoes = @dominoes ||= (0..option(:to)).flat_map { |one| (one..option(:to)).map { |other| [one, other] } }
    end
  end
end
