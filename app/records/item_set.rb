# frozen_string_literal: true

module Records
  # The items of a lesson part that is an activity. Only its options, its seed and what was thrown are kept; the items
  # are made from them each time. An item with a problem is posed when it is first shown.
  class ItemSet
    # @param part [LessonPart]
    def initialize(part)
      @part = part
    end

    attr_reader :part

    def kind
      @kind ||= Rungs::Activity::ALL.fetch(part.kind).with(details["options"].to_h,
                                                           part.lesson.classroom.activity_settings)
    end

    def size = data.size

    # @return [Rungs::Activity::Item] of that place, or of the nearest there is
    def item(index) = (@items ||= {})[index] ||= kind.item(data[within(index)])

    # @return [PosedProblem, nil] nil where the item has no problem
    def posed(index)
      problem = item(index = within(index)).problem or return
      part.problems_dataset.where(item: index).last ||
        part.lesson.pose(problem, story: "", part: part).tap { |posed| posed.update(item: index) }
    end

    # @return [Array<Way>] those offered for an item
    def ways(index) = Way.where(place(index)).order(:id).all

    # @param input [Object] as its activity takes a way
    # @param move [String, nil] instead: the move of a way that Rungs knows for its problem
    # @param child [Child, nil] who gave it
    # @raise [Rungs::Error::NotAProblem] where it is none
    def keep_way(index, input, move: nil, child: nil)
      way = move ? known(index, move) : kind.way(item(index), input)
      Way.keep(place(index), way.text, groups: way.groups, move: move, child: child)
    end

    # @return [Array<Rungs::Strategy::Path>] ways that Rungs knows: of each rung the usual one first
    def paths(index)
      item(index).problem&.paths.to_a.sort_by { |path| [path.rung, path.move.usual ? 0 : 1] }
    end

    # @return [Array<String>] what a teacher may tell once an item was shown
    def notes(index) = kind.notes(data.first(index + 1))

    # @return [String] its first items in a line, or what it is for
    def outline
      asked = (0...[size, 4].min).filter_map { |index| item(index).equation }
      asked.empty? ? part.entry.i_can : asked.join(",  ")
    end

    # A throw of real things in the place of what would have fallen.
    # @raise [Rungs::Error::NotAProblem]
    def throw_in(index, input)
      index = within(index)
      thrown = details["thrown"].to_h.merge(index.to_s => kind.given(input))
      part.update(details: Sequel.pg_jsonb(details.merge("thrown" => thrown)))
      part.problems_dataset.where(item: index).update(item: nil)
      @data, @items = nil
    end

    private

    def details = part.details.to_h
    def within(index) = index.clamp(0, size - 1)

    def known(index, move)
      path = paths(index).find { |each| each.move.id == move }
      raise Rungs::Error::NotAProblem, "that is no way of working this problem" unless path

      Rungs::Picture::Way.new(text: path.says, groups: [])
    end

    # What a way of an item is kept by.
    def place(index)
      there = (problem = posed(index)) ? { problem_id: problem.id } : { part_id: part.id, item: within(index) }
      { classroom_id: part.classroom_id, **there }
    end

    def data
      @data ||= begin
        thrown = details["thrown"].to_h.transform_keys(&:to_i).transform_values { |data| data.transform_keys(&:to_sym) }
        whole = thrown.size == details["count"]
        made = whole ? [] : kind.data(seed: details.fetch("seed"), count: details["count"])
        Array.new([made.size, thrown.size].max) { |index| thrown[index] || made[index] }
      end
    end
  end
end
