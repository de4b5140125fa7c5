# frozen_string_literal: true

module Records
  # The items of a part as a teacher changes them (guide 18): other numbers, one more, one less, another order, before
  # the lesson and in it. What was changed by hand stays when the others are drawn anew; what was heard on an item goes
  # with it, and stays where its item is gone.
  class ItemsByHand
    # Items that a part can have.
    MOST = 60

    # @param part [LessonPart]
    def initialize(part)
      @part = part
      @set = part.items
    end

    # One item: where it stood, nil for a new one; its data; whether it was changed by hand.
    Line = Struct.new(:was, :data, :hand, keyword_init: true)

    # @param numbers [Array<Integer>]
    # @raise [Rungs::Error::NotAProblem] in a sentence
    def change(index, numbers)
      given = kind.with_numbers(data.fetch(index), numbers)
      store(lines.each { |line| line.was, line.data, line.hand = nil, given, true if line.was == index })
    end

    # @param numbers [Array<Integer>] of one more at the end, like the last that has such numbers
    def add(numbers)
      raise Rungs::Error::TooMany, "A part has room for #{MOST} items." if data.size >= MOST

      like = data.reverse.find { |each| kind.hand(each).size == numbers.size } || data.last
      store([*lines, Line.new(data: kind.with_numbers(like, numbers), hand: true)])
    end

    def take_out(index)
      raise Rungs::Error::NotAProblem, "One item stays; take the part out instead." if data.size == 1

      store(lines.reject { |line| line.was == index })
    end

    # @param step [Integer] −1 earlier, 1 later
    def shift(index, step)
      there = (index + step).clamp(0, data.size - 1)
      store(lines.tap { |all| all.insert(there, all.delete_at(index)) })
    end

    # Other numbers for those that were neither changed by hand nor posed.
    # @param seed [Integer]
    # @raise [Rungs::Error::TooMany] where there are no others
    def draw_anew(seed)
      stay = lines.select { |line| line.hand || posed.include?(line.was) }
      others = others(seed, stay.map(&:data))
      drawn = lines.map { |line| stay.include?(line) ? line : Line.new(data: others.shift || line.data) }
      @part.merge_details(seed: seed)
      store(drawn)
    end

    private

    def kind = @set.kind
    def data = @set.all_data
    def hand = @part.details.by_hand
    def lines = data.each_with_index.map { |each, index| Line.new(was: index, data: each, hand: hand.include?(index)) }
    def posed = @posed ||= @part.problems_dataset.exclude(item: nil).select_map(:item)

    # As many others as there are, none of them there already; the same numbers the other way round come last.
    def others(seed, there)
      numbers = there.map { |each| kind.numbers_at(each) }
      turned = numbers.map(&:sort)
      most = [kind.most, MOST].compact.min
      counts = [data.size + there.size, data.size].map { |count| [count, most].min }
      made = counts.uniq.lazy.filter_map { |count| drawn(seed, count) }.first
      others = made.to_a.reject { |each| there.include?(each) || numbers.include?(kind.numbers_at(each)) }
      others.partition { |each| !turned.include?(kind.numbers_at(each).sort) }.flatten(1)
    end

    def drawn(seed, count)
      kind.data(seed: seed, count: count)
    rescue Rungs::Error::TooMany
      nil
    end

    # Keeps them all as they are now; what hung on an item hangs on it where it stands then.
    def store(lines)
      moved = lines.each_with_index.to_h { |line, index| [line.was, index] }
      DB.transaction do
        kept = lines.each_with_index.to_h { |line, index| [index, line.data] }
        @part.merge_details(count: lines.size, thrown: kept, by_hand: lines.each_index.select do |index|
          lines[index].hand
        end)
        [DB[:problems], DB[:ways], DB[:showings]].each { |rows| move(rows.where(part_id: @part.id), moved) }
      end
      @part.forget_items
      show_again(moved)
    end

    # @param moved [Hash{Integer => Integer}] from where to where; who is not there is of no item any more
    def move(rows, moved)
      there = rows.exclude(item: nil).select_map(%i[id item])
      return if there.all? { |_, item| moved[item] == item }

      rows.update(item: nil)
      there.each { |id, item| rows.where(id: id).update(item: moved[item]) if moved[item] }
    end

    # The board follows its item; where that is gone or another, what stands in its place comes.
    def show_again(moved)
      lesson = @part.lesson
      item = lesson.board.item
      return if lesson.board.part != @part.id || moved[item] == item

      lesson.show_item(@part, moved[item] || [item, @part.items.size - 1].min)
    end
  end
end
