# frozen_string_literal: true

module Pages
  module Board
    # What the board shows, as plain data that can be kept and sent: which picture, whether it is shown, covered or not
    # yet there, crossed out, the number sentence, a rung's way and its step. Each command gives the next state.
    class State
      COMMANDS = %w[cover picture strike sentence way share ways].freeze

      # @param data [Hash] as kept
      # @param posed [Records::PosedProblem]
      def initialize(data, posed)
        @data = data
        @posed = posed
        @thing = posed.things
      end

      def pictures = @pictures ||= Rungs::Picture::Staging.of(@posed.problem, thing: @thing)
      def ways = @ways ||= Rungs::Picture::Staging.ways(@posed.problem, thing: @thing)

      # "absent" until it was shown once, then "shown" or "covered".
      def show = @data.fetch("show", "absent")
      def shown? = show == "shown"
      def struck? = @data["struck"] == true
      def sentence? = @data["sentence"] == true
      # Whether the ways kept of this problem stand below it.
      def ways? = @data["ways"] == true && @posed.ways.any?
      # The way being drawn: a rung's usual one, or one chosen to share.
      def way = @way ||= @data["share"] ? shared : ways.find { |each| each.rung.level == @data["way"] }

      # The second picture that checks the first, once the way is drawn to its end.
      def beside
        return unless way && @data["share"] && @data["beside"] && step == way.steps.size - 1

        acted = Rungs::Picture::Staging.way(share_path, @posed.problem, thing: @thing, on: @data["beside"])
        acted&.steps&.last || Rungs::Picture::KINDS[@data["beside"]]&.of(@posed.problem, thing: @thing)&.layout
      end

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

        base = { "problem" => @posed.id,
                 "picture" => kind&.id }.merge(@data.slice("show", "struck", "sentence", "picture", "way", "step",
                                                           "share", "on",
                                                           "beside", "ways", "from"))
        base.merge(send("after_#{command}", value))
      end

      private

      def after_cover(_) = { "show" => shown? ? "covered" : "shown" }
      def after_ways(_) = { "ways" => !ways? }
      def after_sentence(_) = { "sentence" => !sentence? }

      def after_picture(id)
        return {} unless pictures.keys.any? { |each| each.id == id }

        { "picture" => id, "way" => nil, "share" => nil, "show" => "shown" }
      end

      def after_strike(_)
        strikable = pictures.fetch(kind, []).size > 1 ? kind : pictures.find { |_, layouts| layouts.size > 1 }&.first
        return {} unless strikable

        { "picture" => strikable.id, "struck" => !struck?, "way" => nil, "share" => nil, "show" => "shown" }
      end

      # The same way again is its next step.
      def after_way(level)
        return {} unless ways.any? { |each| each.rung.level == level.to_i }

        again = @data["way"] == level.to_i && @data["share"].nil?
        { "way" => level.to_i, "share" => nil, "step" => again ? step + 1 : 0, "show" => "shown", "sentence" => false }
      end

      # A move, or a split as "7:3,4"; then the picture it is drawn on and the one beside, with spaces between. The same
      # again is its next step.
      def after_share(words)
        share, on, beside = words.to_s.split
        wanted = { "share" => share, "on" => known(on), "beside" => known(beside) }
        again = @data.slice("share", "on", "beside") == wanted
        { **wanted, "way" => nil, "step" => again ? step + 1 : 0, "show" => "shown", "sentence" => false }
      end

      def known(picture) = Rungs::Picture::KINDS.key?(picture) ? picture : nil

      def shared
        share_path && Rungs::Picture::Staging.way(share_path, @posed.problem, thing: @thing, on: @data["on"])
      end

      def share_path
        return Rungs::Strategy::Path.by(@posed.problem, @data["share"]) unless @data["share"].include?(":")

        broken, *pieces = @data["share"].scan(/\d+/).map(&:to_i)
        Rungs::Strategy::Split.path(@posed.problem, broken, pieces)
      end
    end
  end
end
