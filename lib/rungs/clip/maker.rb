# frozen_string_literal: true

module Rungs
  module Clip
    # Makes scenes: a problem that lets the move show, and on which the slip can happen; then how a child says it
    # (guide 17). The same for the same.
    #
    #   Maker.new(move: "up_through_ten", seed: 3).scenes(12)
    class Maker
      Rungs.shelve self
      include Posed

      # Problems that no situation tells.
      BARE = ["6 + 4 + 3 = □", "7 + 3 + 5 = □", "4 + 4 + 2 = □", "3 + 3 + 6 = □", "8 + 2 + 7 = □", "8 + 4 = □ + 5",
              "9 + 3 = □ + 4", "7 + 5 = □ + 6", "6 + 3 = □ + 4", "5 + 2 = □ + 3"].freeze
      # The parts of each range, the smaller first.
      PAIRS = (1..50).flat_map { |one| (one..100 - one).map { |other| [one, other] } }
                     .group_by { |parts| Problem::Band.of(parts) }.freeze
      # Words in a scene at most; and of a count from a number held in the head.
      MOST_WORDS = 32
      MOST_STEPS = 14
      # The most things that are counted one by one in a scene.
      MOST_THINGS = 15
      # How many problems are looked at.
      LOOKED = 3000
      # How often a scene is off the ladder, where nothing is asked for; and begins from a problem that nothing tells.
      OFTEN_OFF = 0.1
      OFTEN_BARE = 0.15
      OFF = Strategy::OffLadder::ALL.ids.freeze
      # Situations with one right answer.
      TOLD = Problem::Situation::ALL.reject { |each| each.open || each.unknown == :both }.freeze
      private_constant :LOOKED

      # @param move [String, nil] an id, or nil for any
      # @param slip [String, nil] an id; nil: none
      # @param code [String, nil] a rung's id, or off the ladder: of which the scene is
      # @param situation, band [String, nil] ids
      # @param seed [Integer]
      # @raise [Error::Unknown]
      def initialize(move: nil, slip: nil, code: nil, situation: nil, band: nil, seed: 1)
        @moves = move ? [Strategy::Move::ALL.fetch(move)] : Strategy::Move::ALL.to_a
        @slips = slips(slip) if slip
        @code = code
        @plain = [move, slip, code].compact.empty?
        @situation = situation && Problem::Situation::ALL.fetch(situation)
        @band = band && Problem::Band::ALL.fetch(band)
        @random = Random.new(seed)
        @moves = @moves.select { |each| each.rung_id == code } if code && !OFF.include?(code)
        @moves = @moves.select { |each| @slips.any? { |one| one.fits?(each.rung_id) } } if @slips
      end

      # @param count [Integer]
      # @return [Array<Scene>] no problem twice, as long as there are others
      # @raise [Error::NotAProblem] where there is none
      def scenes(count, except: [])
        taken = except.to_set(&:to_s)
        Array.new(count) do
          scene = scene(taken) || scene(Set.new) || nothing
          taken << scene.problem.to_s
          scene
        end
      end

      private

      def nothing = raise(Error::NotAProblem, "no problem of that kind lets such a clip be made")

      def slips(id)
        found = Slip::ALL.select { |slip| slip.id == id }
        return found if found.any?

        raise Error::Unknown, "there is no slip “#{id}”; there are #{Slip::ALL.map(&:id).uniq.join(', ')}"
      end

      def scene(taken)
        return off_ladder(taken) if OFF.include?(@code) || (@plain && @random.rand < OFTEN_OFF)

        @slips ? slipped(taken) : plain(taken)
      end

      # @return [Scene, nil]
      def plain(taken)
        @moves.shuffle(random: @random).each do |move|
          problems([move]).each do |problem|
            path = move.path(problem) if move.rung > 1 || problem.whole <= MOST_THINGS
            made = scene_of(problem, path) if path && !taken.include?(problem.to_s)
            return made if made
          end
        end
        nil
      end

      # With one of the slips, by the way that leads to it most naturally.
      # @return [Scene, nil]
      def slipped(taken)
        problems(@moves).each do |problem|
          next if taken.include?(problem.to_s)

          slip = @slips.find { |each| Slip.on(problem, each.id).equal?(each) }
          answer = slip.answers(problem).compact.first if slip
          path = likely(problem, slip, answer) if answer
          made = scene_of(problem, path, slip, answer) if path
          return made if made
        end
        nil
      end

      def likely(problem, slip, answer)
        ways = problem.paths.select { |path| slip.fits?(path.move.rung_id) && @moves.include?(path.move) }
        ways.reject! { |path| path.rung == 1 && problem.whole > MOST_THINGS }
        best = ways.map { |path| leads(path, answer) }.min
        ways.select { |path| leads(path, answer) == best }.sample(random: @random)
      end

      # How naturally a way leads to a wrong answer: 0 where it stands on it, 1 where something is taken apart on it.
      def leads(path, answer)
        return 0 if path.rung < 3 || path.landings.include?(answer)

        path.splits.positive? ? 1 : 2
      end

      # @return [Scene, nil]
      def scene_of(problem, path, slip = nil, answer = nil)
        said = Telling.new(problem, path, answer, @random).said
        scene = Scene.new(problem: problem, said: said, code: path.move.rung_id, move: path.move.id, slip: slip&.id,
                          shows: shows(path, said), why: Why.new(problem, path, slip, answer, said).to_s)
        scene if fits?(scene, path, answer)
      end

      # It comes to the answer, is not too long to listen to, and is heard as that move: but for a slip in what is
      # worked out, of which the numbers may not tell.
      def fits?(scene, path, answer)
        return false if scene.said.size > (path.rung == 2 ? MOST_STEPS : MOST_WORDS)
        return false if answer ? scene.numbers.last != answer : scene.numbers.include?(0)
        return scene.said.size > 1 || path.rung == 5 if answer && path.rung > 2

        scene.heard.map(&:move).include?(scene.move)
      end

      # A count shows where it begins; what is worked out, at its first landing; a known fact, in the answer.
      def shows(path, said) = path.rung.between?(3, 4) ? [1, said.size - 1].min : 0

      # What nobody could put on a rung: an answer after long, a guess, no answer.
      def off_ladder(taken)
        code = @code || OFF.sample(random: @random)
        problem = problems([Strategy::Move::ALL.fetch("recall")]).find { |each| !taken.include?(each.to_s) } or return
        delivery = Delivery.new(@random)
        said = case code
               when "no_answer" then delivery.nothing
               when "unseen" then delivery.unseen(problem.answer)
               else delivery.at_once(guessed(problem))
               end
        Scene.new(problem: problem, said: said, code: code, move: nil, slip: nil, shows: 0, why: Why::OFF.fetch(code))
      end

      # Something that no slip would give, where there is such a number.
      def guessed(problem)
        known = Slip.for(problem).flat_map { |slip| slip.answers(problem) }.compact
        ([*0..problem.whole + 9] - known - [problem.answer]).sample(random: @random)
      end
    end
  end
end
