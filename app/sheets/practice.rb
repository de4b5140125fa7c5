# frozen_string_literal: true

module Sheets
  # Items to work: what is asked, the picture, room to draw, the sentence with its box. Answers on a page of their own.
  class Practice < ForChild
    # How much of the width is for the picture; the sentence has the rest.
    PICTURED = 0.6
    # A thing that is counted is as wide as a finger: millimetres.
    FINGER = 8
    # A box and a numeral that a child’s pencil can meet: millimetres a unit.
    UNIT = { false => 10, true => 13 }.freeze
    # The least that a picture and its sentence need below the words.
    LEAST = { false => 18, true => 26 }.freeze
    PER_PAGE = [4, 6, 8].freeze

    entry id: "practice", title: "Practice", note: "practice", shelf: "practice", any_activity: true
    choice "set", [nil, "easier", "middle", "harder"], label: "numbers", names: { nil => "all" },
                                                       offered: ->(source) { [nil, *source.number_sets] }
    choice "seed", 1..9999, label: "set", offered: ->(source) { source.part ? [] : 1..9999 }
    choice "per_page", PER_PAGE, label: "a page", usual: 6
    choice "answers", YES_NO, label: "answers on a page of their own"

    class << self
      def needed_by?(_activity) = true
      def title_for(activity) = activity.title
      def listed(_source) = Rungs::Activity::ALL.map { |each| [each.title, { activity: each.id }] }

      # The items of a part, or of its number set; else as many of an activity as a page holds, or as there are.
      def drawn_from(source, chosen)
        activity = source.kind.class
        { title: activity.title, down: source.written[:down], **chosen.slice(:per_page, :answers),
          **activity.paper.slice(:asks),
          **(source.part ? of_part(source, chosen) : of_activity(source.kind, chosen)) }
      end

      private

      def of_part(source, chosen)
        items = source.items.select { |item| [nil, item.posing[:number_set]].include?(chosen[:set]) }
        { items: items, made_of: { part: source.part.id }.compact }
      end

      def of_activity(kind, chosen)
        { items: as_many(kind, *chosen.values_at(:seed, :per_page)),
          made_of: { activity: kind.class.id, seed: chosen[:seed], **kind.chosen } }
      end

      def as_many(kind, seed, wanted)
        kind.items(seed: seed, count: [wanted, kind.most].compact.min)
      rescue Rungs::Error::TooMany
        kind.items(seed: seed)
      end
    end

    # @param items [Array<Rungs::Activity::Item>]
    # @param asks [Range, nil] steps whose words are read before the question
    # @param per_page [Integer] of PER_PAGE; fewer where they need more room
    # @param answers [Boolean]
    # @param down [Boolean] whether sentences stand down the page
    # @raise [Rungs::Error]
    def initialize(items:, asks: nil, per_page: 6, answers: false, down: false, **sheet)
      raise Rungs::Error::NotAProblem, "there is nothing to put on this sheet" if items.empty?
      unless PER_PAGE.include?(per_page)
        raise Rungs::Error::Unknown, "a page has #{PER_PAGE.join(', ')} of them, not #{per_page}"
      end

      super(**sheet)
      @items = items
      @asks = asks
      @per_page = per_page
      @answers = answers
      @down = down
    end

    private

    def body
      asks = @items.map { |item| question(item) }
      shared = asks.first if @items.size > 1 && asks.uniq.size == 1
      evenly(shared, row_height(shared, asks)).with_index do |items, page|
        paper.turn if page.positive?
        top, high = head(shared), left_below(shared) / [items.size, 2].max
        items.each_with_index { |item, row| row(item, top + (row * high), high, shared.nil?) }
      end
    end

    # As many as were wanted where they find room; else fewer, and as many on each page.
    # @return [Enumerator<Array<Rungs::Activity::Item>>]
    def evenly(shared, high)
      fit = [@per_page, (left_below(shared) / high).floor].min.clamp(1..)
      pages = (@items.size / fit.to_f).ceil
      @items.each_slice((@items.size / pages.to_f).ceil)
    end

    # What a row needs for its words, for things as large as a finger, and for its sentences.
    def row_height(shared, asks)
      said = shared ? 0 : asks.map { |ask| paper.height_of(ask, size: size) }.max
      [said + LEAST.fetch(@large), *@items.map { |item| said + 8 + needed(item) }].max
    end

    def needed(item)
      layout = picture(item)
      thing = layout.counters.map(&:width).min if layout
      [thing ? (layout.height + 1) * FINGER / thing : 0, item.sentences.size * (UNIT.fetch(@large) + 4)].max
    end

    def left_below(shared) = paper.height - head_height(shared)

    def row(item, y, high, asked)
      y += 2
      said = asked ? paper.words(question(item), y: y, size: size) + 1 : 0
      room = high - said - 5
      picture = picture(item)
      paper.draw(picture, y: y + said, width: paper.width * PICTURED, height: room, unit: room / 2.0) if picture
      sentence(item, y + said, room)
      paper.line(0, y + high - 2, paper.width, y + high - 2, color: Paper::LINE, thick: 0.15)
    end

    # Those to be filled in, one under the other; where there is none, a line to write on.
    def sentence(item, y, room)
      x = (paper.width * PICTURED) + 4
      return paper.line(x, y + room - 4, paper.width, y + room - 4) if item.sentences.empty?

      high = room / item.sentences.size
      item.sentences.each_with_index { |text, row| written(text, x, y + (row * high), high) }
    end

    def written(text, x, y, high)
      return paper.words(text, y: y + (high / 2) - 4, size: size, align: :right) if text.match?(/\p{L}{3}/)

      sentence = Rungs::Picture::Sentence.new(text, down: @down).layout
      paper.draw(sentence, x: x, y: y, height: high, unit: UNIT.fetch(@large), align: :right)
    end

    # What to do, but not the sentence once more.
    def question(item)
      before = @asks ? item.steps[@asks].map(&:words) : []
      asked = item.paper.to_h[:words] || (item.ask == item.equation ? "Work it out. Draw how." : item.ask)
      [*before, asked].join(" ")
    end

    # As it stands when it is asked; a sentence alone leaves room to draw.
    def picture(item)
      shown = item.paper.to_h.fetch(:shown) { item.steps.first.layout } or return
      layout = shown.is_a?(Rungs::Picture::Layout) ? shown : shown.layout
      layout unless layout.marks.any? { |mark| mark.state == :new && mark.text == "=" }
    end

    # For the one who looks through them.
    def ending
      return unless @answers

      paper.turn
      top = head(title: "#{@title}: answers", name: false)
      @items.each_with_index do |item, index|
        paper.words("#{index + 1}.  #{item.problem ? item.problem.solved : item.answer || item.written || 'many'}",
                    y: top + (index * 10), size: 14)
      end
    end
  end
end
