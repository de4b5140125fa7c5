# frozen_string_literal: true

module Records
  # The items of a lesson part. Only its options, its seed, how many, and what was thrown or told are kept; the items
  # are made from them each time. An item with a problem is posed when it is first shown.
  class ItemSet
    # @param part [LessonPart]
    def initialize(part)
      @part = part
    end

    attr_reader :part

    def kind
      @kind ||= begin
        own = details.own && Rungs::Own::Part.of(details.own)
        part.activity.with(details.options, { **part.lesson.classroom.activity_settings, own: own })
      end
    end

    def size = data.size

    # @return [Array<Hash>] the data of all items
    def all_data = data

    # @return [Integer] the last place there is: of the sentences read back, where there are some; else the last item
    def last = size > 1 && part.activity.written? ? size : size - 1

    # @return [Rungs::Activity::Item] of that place, or of the nearest there is
    def item(index)
      return closing if index == size && last == size

      (@items ||= {})[index] ||= kind.item(data[within(index)])
    end

    def closing = @closing ||= kind.closing(Array.new(size) { |index| item(index) })

    # @return [Integer] the one to begin with: of a story with several sets of numbers the one it was written with
    def first = data.index { |each| [nil, "middle"].include?(each[:number_set]) } || 0

    # @return [Integer] the one that is come back to: the last that was posed to all, else the one to begin with
    def at_hand
      posed = part.problems_dataset.for_everybody.exclude(item: nil).select_map(:item)
      posed.reject { |index| data[index]&.key?(:quiet) }.max || first
    end

    # @return [PosedProblem, nil] nil where the item has no problem, or its part was taken out just now
    def posed(index, at: Time.now)
      item = item(index = index.clamp(0, last))
      return unless item.problem

      posed_there(index) || DB.transaction(savepoint: true) do
        part.lesson.pose(item.problem, part: part, item: index, at: at, **item.posing)
      end
    rescue Sequel::UniqueConstraintViolation
      posed_there(index)
    rescue Sequel::ForeignKeyConstraintViolation
      nil
    end

    # @return [PosedProblem, nil] where it was posed already
    def posed_there(index) = part.problems_dataset.first(item: index)

    # The problem of an item as it stands, or as it would be posed: nothing is kept.
    # @return [PosedProblem, nil]
    def posed_or_told(index)
      item = item(index = index.clamp(0, last))
      item.problem && (posed_there(index) || part.lesson.build_posed(item.problem, part: part, item: index,
                                                                                   **item.posing))
    end

    # Poses what is shown with it: of a story with several sets of numbers all of them.
    # @return [PosedProblem, nil] that of the item itself
    def pose_with(index)
      sets = data[index]&.key?(:number_set) ? data.each_index.select { |other| data[other][:number_set] } : []
      sets.each { |other| posed(other) }
      posed(index)
    end

    # The problems of one story with several sets of numbers, easier first; none where there is only this one.
    # @return [Array<PosedProblem>]
    def number_sets
      there = part.problems_dataset.exclude(item: nil).exclude(number_set: nil).to_hash(:item)
      there.sort_by(&:first).map(&:last)
    end

    # Of a story with several sets of numbers, the item that is this child's.
    def own(index, child)
      level = part.details.sets.find { |_, ids| ids.include?(child.id) }&.first
      (data.index { |each| each[:number_set] == level } if level && data[index]&.key?(:number_set)) || index
    end

    # Whether an item is another set of numbers for a story that stands there already.
    def other_set?(index) = ![nil, "middle"].include?(data[index]&.dig(:number_set))

    # @return [OfferedWays]
    def offered = @offered ||= OfferedWays.new(self)

    # @return [Array<String>] what a teacher may tell once an item was shown
    def notes(index) = kind.notes(data.first(index + 1))

    # @return [String] its story, its first items in a line, or what it is for
    def outline
      told = item(first).posing[:story]
      return told unless told.empty?

      asked = (0...[size, 4].min).filter_map { |index| item(index).equation }
      asked.empty? ? kind.about : asked.join(",  ")
    end

    # What it is about, short: what happens in its story, or its first items.
    def gist
      first_item = item(first)
      return first_item.problem.situation.question.capitalize if first_item.problem&.situation

      asked = (0...[size, 2].min).filter_map { |index| item(index).equation }
      return asked.join(", ") if asked.any?

      option = part.activity.options.max_by { |each| each.fits == :range ? 1 : 0 }
      option ? "#{option.label} #{option.say(kind.chosen[option.id])}" : ""
    end

    # A throw of real things in the place of what would have fallen.
    # @raise [Rungs::Error::NotAProblem]
    def throw_in(index, input)
      index = within(index)
      merge_thrown(index => kind.given(input))
      part.problems_dataset.where(item: index).update(item: nil)
    end

    # More items at the end, told by the teacher; before it began they stand in the place of what was proposed.
    # @param told [Array<Hash>] their data
    # @return [Integer] the place of the first
    def add(told)
      proposed = !part.begun? && thrown.empty?
      start = proposed ? 0 : size
      part.merge_details(count: proposed ? 0 : details.count || size)
      merge_thrown(told.each_with_index.to_h { |data, index| [start + index, data] })
      start
    end

    # Keeps the items as they are now, whatever is recorded, chosen or made anew from their seed later.
    def store_items
      return if details.settled?

      part.merge_details(count: size)
      merge_thrown(data.each_with_index.to_h { |data, index| [index, data] })
    end

    private

    def details = part.details
    def thrown = details.thrown
    def within(index) = index.clamp(0, size - 1)

    def merge_thrown(data)
      part.merge_details(thrown: thrown.merge(data))
      @data, @items, @closing = nil
    end

    # What was thrown or told, and for the other places what the seed makes.
    def data
      @data ||= begin
        made = details.settled? ? [] : kind.data(seed: details.seed, count: details.count)
        Array.new([made.size, *thrown.keys.map { |index| index + 1 }].max) { |index| thrown[index] || made[index] }
      end
    end
  end
end
