# frozen_string_literal: true

module Rungs
  module Activity
    class MeetASign
      # Something is acted out, or only looked at: which sign belongs?
      module Belonging
        private

        # Something is acted out, or only looked at.
        def belonging(data)
          belongs = data[:belongs]
          seen, told = acted(data)
          make(
            ask: "#{told} Which sign belongs here? Does any?", answer: belongs, data: data, equation: nil, shown: seen,
            steps: [
              step("check", Picture::Sentence.new(signed(data)), "#{Rungs.capital(belongs)}: #{MEANS.fetch(belongs)}."),
              step("write", written_in(data), "#{Rungs.capital(belongs)}. #{closing_words(data)}",
                   equation: (data[:problem] unless belongs == "none"))
            ]
          )
        end

        # @return [Array(Picture::Kind, String)] without the sign, and without its name
        def acted(data)
          first, second = numbers_in(data[:problem])
          case data[:belongs]
          when "plus"
            [objects([first, second], "counter"), "#{many_are(first, 'here')}. #{does(second, 'come', 'more')}."]
          when "minus"
            [objects([first], "counter", moved: second),
             "#{many_are(first, 'there')}. #{does(second, 'walk')} off."]
          when "equals" then [level(data), "This side, and that side. See how it stands."]
          else [objects([first], "counter"), "#{many_are(first, 'there')}. Look at them."]
          end
        end

        def level(data) = balance(*data[:problem].split(" = ").map { |side| side.scan(/\d+/).map(&:to_i) })

        # What stands there with the sign that belongs, as far as it goes.
        def signed(data)
          data[:belongs] == "equals" ? data[:problem] : data[:problem].split(" = ").first
        end

        def written_in(data)
          return objects(numbers_in(data[:problem]), "counter") if data[:belongs] == "none"

          parts(problem(data[:problem].sub(/\d+\z/, "?")).parts)
        end

        def closing_words(data)
          data[:belongs] == "none" ? "#{data[:problem]} is only a number." : read(data[:problem])
        end
      end
    end
  end
end
