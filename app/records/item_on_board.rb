# frozen_string_literal: true

module Records
  # An item of an activity on the board: which, at which step, since when, covered or not. A command names the place it
  # goes to, so that the same press from two windows, or one that comes late, does no harm.
  class ItemOnBoard
    include Commands

    # Seconds that a picture may take to reach a board.
    ON_THE_WAY = 0.5

    # @param state [BoardState] as kept on the lesson
    # @param set [ItemSet]
    # @param now [Float] seconds since the epoch
    def initialize(state, set, now: Time.now.to_f)
      @state = state
      @set = set
      @now = now
    end

    # An item at a step as it would stand there, without anything being posed.
    def self.at(set, index, step)
      there = BoardState.new({ item: index, step: step })
      there = there.with(covered: true) if new(there, set).step.asked
      new(there, set)
    end

    attr_reader :set

    def index = @state.item.clamp(0, set.last)
    def item = set.item(index)
    def place = @state.step.clamp(0, item.steps.size - 1)

    # @return [Rungs::Activity::Step] of the item, or of what is drawn in its place
    def step = drawn ? drawn[drawn_place] : item.steps[place]

    # @return [Array<Rungs::Activity::Step>, nil] a way or a picture that was asked for
    def drawn = @drawn ||= @state.drawn && drawing(@state.drawn)

    # @return [Array<Rungs::Activity::Step>] the ways that were shared, each at its end
    def standing = @standing ||= @state.standing.filter_map { |wanted| drawing(wanted)&.last }

    # @return [String, nil] what joins the last two of them
    def joining
      paths = @state.standing.last(2).filter_map { |wanted| drawn_of(wanted).path }
      Rungs::Strategy::Sharing.joining(*paths) if paths.size == 2
    end

    # @return [String] what "draw" takes for the next step of a way or a picture
    def next_of(wanted) = "#{wanted} #{@state.drawn == wanted ? drawn_place + 1 : 0}"

    # @return [Array<Rungs::Strategy::Rung>] those with a way of working its problem
    def rungs
      levels = item.problem ? item.problem.paths.map(&:rung) : []
      Rungs::Strategy::Rung::ALL.select { |rung| levels.include?(rung.level) }
    end

    # @return [Array<Rungs::Picture::Kind>] the pictures of its problem
    def pictures = item.problem ? Rungs::Picture::Staging.kinds_of(item.problem, **room.pictured.slice(:fingers)) : []

    # Whether what is drawn now is this.
    def drawn?(wanted) = @state.drawn&.split&.first == wanted.to_s

    # @return [Rungs::Activity::Step, nil] the one on whose picture groups are tapped
    def grouped = item.steps.find { |each| each.hands == "groups" }

    # A step seen for a moment covers itself.
    def covered? = @state.covered == true || (passing? && left <= 0)

    # Whether nothing of it can be seen: covered, or shown only by the next step.
    def hidden? = covered? || layout == Rungs::Picture::Cover.new.layout

    # Whether its words stand alone, in the middle.
    def bare? = step.alone || (waiting? && item.posing[:story].empty?)

    # Whether its picture was never asked for yet: there is nothing to cover.
    def waiting? = @state.covered == true && @state.asked.nil?
    def passing? = !step.seconds.nil? && @state.covered != false

    # The picture as it was worked with by hand, where this step can be.
    # @return [Rungs::Picture::Hands]
    def hands
      @hands ||= Rungs::Picture::Hands.new(step.layout, @state.hands)
    end

    def touched? = @state.hands.any?
    def places = step.seconds || step.hands ? [] : hands.places
    def layout = hands.layout

    # @return [Rungs::Picture::Layout, nil] a second picture that checks the first
    def second = step.beside

    # @return [Array<String>] the sentences of a way
    def lines = step.lines.to_a

    # @return [String, nil] what is written, or what the hands say now; with its box where that is asked for
    def sentence = touched? ? hands.sentence : step.equation || (item.equation if sentence?)

    # @return [Rungs::Picture::Way] what was done by hand, as a way of a child's
    # @raise [Rungs::Error::NotAProblem] where nothing was, that says a sum
    def way_by_hand
      said = hands.sentence or raise Rungs::Error::NotAProblem, "nothing was done by hand that says a sum"
      Rungs::Picture::Way.new(text: said, groups: [])
    end

    def sentence? = @state.sentence == true

    # Whether the ways offered for it stand beside it, and with whose they are.
    def ways? = @state.ways == true
    def initials? = @state.initials == true

    # @return [String, nil] which fall it is, where what it shows falls
    def fall = ("#{index}.#{place} #{@state.shown_at}" if step.falls)

    # What a window is told to show it for: its whole time where it has only just been asked for; else what is left.
    def window = left > step.seconds - ON_THE_WAY ? step.seconds : left

    # @return [Array(Integer, Integer), nil] item and step after or before this one; nil at the end
    def neighbour(direction)
      there = place + direction
      return [index, there] if there.between?(0, item.steps.size - 1)
      return ([index + 1, 0] if index < set.last) if direction.positive?

      [index - 1, set.item(index - 1).steps.size - 1] if index.positive?
    end

    private

    # @return [Array<Rungs::Activity::Step>, nil] nil where there is no such way or picture
    def drawing(wanted)
      return unless wanted && item.problem

      steps = drawn_of(wanted).steps
      steps if steps.any?
    end

    def drawn_of(wanted)
      Rungs::Activity::Drawn.new(item.problem, wanted, things: item.things, words: item.ask, **room.pictured)
    end

    def room = set.part.lesson.classroom
    def drawn_place = @state.drawn_step.clamp(0, drawn.size - 1)

    def left = @state.shown_at + step.seconds - @now
  end
end
