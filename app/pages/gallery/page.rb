# frozen_string_literal: true

module Pages
  module Gallery
    # One kind of picture in every state.
    class Page < Shared::Page
      P = Rungs::Picture
      view :"gallery/gallery", title: "Gallery"

      # One or two examples of each kind in each of its states.
      EXAMPLES = {
        "frame" => lambda {
          [P::Frame.new([7]), P::Frame.new([7], fill: :pairs), P::Frame.new([9, 5]), P::Frame.new([4], size: 5),
           P::Frame.new([12], size: 15), P::Frame.new([14], struck: 5), P::Frame.new([24])]
        },
        "rack" => -> { [P::Rack.new([7]), P::Rack.new([6, 7]), P::Rack.new([8], card: true)] },
        "line" => lambda {
          [P::Line.new(to: 10, start: 3), P::Line.new(start: 9, jumps: [10, 14]),
           P::Line.new(start: 14, jumps: [10, 9], style: :track),
           P::Line.new(to: 20, start: 9, jumps: [10, 14], style: :open),
           P::Line.new(to: 100, start: 40, jumps: [60, 64])]
        },
        "parts" => lambda {
          [P::Parts.new([9, 5]), P::Parts.new([9, 5], hidden: 2, show: :both),
           P::Parts.new([4, 3], show: :dots, place: :left), P::Parts.new([2, 3, 4], hidden: 0),
           P::Parts.new([9, 5], split: [1, [1, 4]])]
        },
        "dots" => lambda {
          [5, 7, 9].flat_map do |number|
            P::Dots::ARRANGEMENTS.filter_map do |each|
              P::Dots.arranged(each, number)
            end
          end
        },
        "towers" => lambda {
          [P::Towers.new([6, 4]), P::Towers.new([5, 3], style: :tower), P::Towers.new([5, 4], style: :chain)]
        },
        "fingers" => -> { [P::Fingers.new([7]), P::Fingers.new([3, 4]), P::Fingers.new([0])] },
        "scale" => lambda {
          [P::Scale.new([12], [7, 5]), P::Scale.new([7, 5], [6, 5]), P::Scale.new([12], [7, 5], hidden: :right)]
        },
        "bundles" => lambda {
          [P::Bundles.new([34]), P::Bundles.new([23, 14], style: :rods), P::Bundles.new([47], style: :cards)]
        },
        "objects" => lambda {
          told = Rungs::Problem::Template::ALL.map { |each| each.things.first(2) }.uniq
          things = told.map { |thing| P::Objects.new([3, 2], thing: thing) }
          things + [P::Objects.new([8], thing: "kite", struck: 3), P::Objects.new([8], thing: "shell", moved: 3),
                    P::Objects.new([12], thing: "button", heap: true)]
        },
        "bars" => lambda {
          [P::Bars.new([9, 5]), P::Bars.new([9, 5], hidden: 2), P::Bars.new([2, 3, 4]),
           P::Bars.new([5, 4], hidden: 2, compare: true)]
        }
      }.freeze

      def kind = asked.fetch(:kind)
      def margin = nil
      def pictures = EXAMPLES.fetch(kind.id).call

      # Moves drawn step by step on this kind.
      # @return [Array<Array(String, Path, Array<Layout>)>]
      def acts
        acted = ["9 + 5 = ?", "14 - 5 = ?", "6 + 7 = ?", "23 + 4 = ?"].flat_map do |text|
          problem = Rungs::Problem::Equation.parse(text).to_problem
          problem.paths.map { |path| [text, path, kind.act(path, problem)] }
        end
        acted.reject { |*, steps| steps.empty? }
      end

      # All that is shown here, in order, each a file by its number.
      # @return [Array<Layout>]
      def all = pictures.map(&:layout) + acts.flat_map(&:last)
    end
  end
end
