# frozen_string_literal: true

module Pages
  module Board
    # What the board shows, as plain data that can be kept and sent: which picture, whether it is shown, covered or not yet
    # there, crossed out, the number sentence, a rung's way and its step. Each command gives the next state.
    class State
      COMMANDS = %w[cover picture strike sentence way].freeze

      # @param data [Hash] as kept
      # @param posed [Records::PosedProblem]
      def initialize(data, posed)
        @data = data
        @posed = posed
        @thing = posed.template.to_s.split("/").first || "counter"
      end

      def pictures = @pictures ||= Pictures.of(@posed.problem, thing: @thing)
      def ways = @ways ||= Pictures.ways(@posed.problem, thing: @thing)

      # "absent" until it was shown once, then "shown" or "covered".
      def show = @data.fetch("show", "absent")
      def shown? = show == "shown"
      def struck? = @data["struck"] == true
      def sentence? = @data["sentence"] == true
      def way = ways.find { |each| each.rung.level == @data["way"] }
      def step = [@data.fetch("step", 0), (way ? way.steps.size - 1 : 0)].min

      # @return [Rungs::Picture::Kind] the one chosen, else the first there is
      def kind = pictures.keys.find { |each| each.id == @data["picture"] } || pictures.keys.first
      def can_strike? = pictures.values.any? { |layouts| layouts.size > 1 }

      # @return [Rungs::Picture::Layout, nil]
      def layout
        return way.steps[step] if way

        kind && pictures.fetch(kind).then { |layouts| struck? ? layouts.last : layouts.first }
      end

      # The equations of a way, once it is drawn to its last step.
      def lines = way && step == way.steps.size - 1 ? way.equations : []

      # @return [Hash] the next state
      # @raise [ArgumentError] for a command there is not
      def after(command, value = nil)
        raise ArgumentError, command unless COMMANDS.include?(command)

        base = { "problem" => @posed.id, "picture" => kind&.id }.merge(@data.slice("show", "struck", "sentence", "picture", "way", "step"))
        base.merge(send("after_#{command}", value))
      end

      private

      def after_cover(_) = { "show" => shown? ? "covered" : "shown" }
      def after_sentence(_) = { "sentence" => !sentence? }

      def after_picture(id) = pictures.keys.any? { |each| each.id == id } ? { "picture" => id, "way" => nil, "show" => "shown" } : {}

      def after_strike(_)
        strikable = pictures.fetch(kind, []).size > 1 ? kind : pictures.find { |_, layouts| layouts.size > 1 }&.first
        strikable ? { "picture" => strikable.id, "struck" => !struck?, "way" => nil, "show" => "shown" } : {}
      end

      # The same way again is its next step.
      def after_way(level)
        return {} unless ways.any? { |each| each.rung.level == level.to_i }

        again = @data["way"] == level.to_i
        { "way" => level.to_i, "step" => again ? step + 1 : 0, "show" => "shown", "sentence" => false }
      end
    end
  end
end
