# frozen_string_literal: true

module Rungs
  module Clip
    # What a scene is and why, in a teacher's words.
    class Why
      OFF = {
        "unseen" => "Only the answer, after long: nobody saw how. Ask “how did you get that?”",
        "guess" => "At once, and no way leads there: it may be a guess. Ask what the first step was.",
        "no_answer" => "Nothing is said: that is a finding too. Come back with things to touch."
      }.freeze

      # @param answer [Integer, nil] the wrong one
      # @param said [Array<Said>]
      def initialize(problem, path, slip, answer, said)
        @problem = problem
        @path = path
        @slip = slip
        @answer = answer
        @numbers = said.filter_map(&:number)
        @seconds = said.sum(&:pause_s)
      end

      def to_s = [move, slip, open].compact.join(" ")

      private

      def candidates = @candidates ||= Slip.heard(@problem, @numbers, seconds: @seconds)
      def fitting = candidates.find { |each| each.move == @path.move.id }

      # "Count on, from the first: from 9 (the first number), which was not said again, to 14."
      def move
        title = "#{Strategy::Rung::ALL.fetch(@path.move.rung_id).title}, #{@path.move.title}"
        fitting ? "#{title}: #{fitting.why}." : "#{title}."
      end

      def slip = ("#{Rungs.capital(@slip.title)}: #{@slip.why(@problem, @answer)}" if @slip)

      # Where the numbers do not tell.
      def open
        others = candidates.map(&:move).uniq - [@path.move.id]
        return if others.empty?
        return "The numbers alone do not tell: nobody saw how, but for the hands and the pauses." unless fitting

        names = others.compact.map { |id| Strategy::Move::ALL.fetch(id).title }
        return "It may also be that nobody saw how." if names.empty?

        "It may also be #{names.join(' or ')}: ask “how did you get that?”"
      end
    end
  end
end
