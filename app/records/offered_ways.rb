# frozen_string_literal: true

module Records
  # The ways that were offered for the items of a lesson part, and those that Rungs knows.
  class OfferedWays
    # @param items [ItemSet]
    def initialize(items)
      @items = items
    end

    # @return [Array<Way>] those offered for an item
    def on_item(index) = Way.where(place(index)).order(:id).all

    # @return [Array<String>] who was asked: heard on its problem, or gave a way
    def asked(index)
      there = place(index)
      gave = DB[:way_givers].where(way_id: Way.where(there).select(:id)).select(:child_id)
      heard = Observation.standing.where(there.slice(:problem_id)).select(:child_id) if there[:problem_id]
      ids = (heard ? gave.union(heard) : gave).select_map(:child_id)
      items.part.lesson.classroom.children.select { |child| ids.include?(child.id) }.map(&:name)
    end

    # @param input [Object] as its activity takes a way; or a Rungs::Picture::Way
    # @param move [String, nil] instead: the move of a way that Rungs knows for its problem
    # @param rung [String, nil] instead: the rung it sounded like, where the item has no problem
    # @param child [Child, nil] who gave it
    # @param client_key [String, nil] a UUID; the same again keeps nothing more
    # @raise [Rungs::Error::NotAProblem] where it is none
    def add(index, input, move: nil, rung: nil, child: nil, client_key: nil)
      way = known(index, move) if move
      way ||= sounding(index, rung) if rung
      way ||= input.is_a?(Rungs::Picture::Way) ? input : items.kind.way(items.item(index), input)
      items.posed(index)
      Way.once(client_key) { Way.offer(place(index), way.text, groups: way.groups, move: move, child: child) }
    end

    # @return [Hash{String => String}] what each rung would sound like for an item, by its id; none where all is read
    #   back
    def sounds(index) = index < items.size ? items.kind.sounds(items.item(index)) : {}

    # @return [Array<Rungs::Strategy::Path>] ways that Rungs knows: of each rung the usual one first
    def paths(index)
      items.item(index).problem&.paths.to_a.sort_by { |path| [path.rung, path.move.usual ? 0 : 1] }
    end

    private

    def known(index, move)
      path = paths(index).find { |each| each.move.id == move }
      raise Rungs::Error::NotAProblem, "that is no way of working this problem" unless path

      Rungs::Picture::Way.new(text: path.says, groups: [])
    end

    def sounding(index, rung)
      words = sounds(index)[rung]
      raise Rungs::Error::NotAProblem, "that rung does not show here" if items.item(index).problem || words.nil?

      Rungs::Picture::Way.new(text: words, groups: [])
    end

    # What a way of an item is kept by.
    def place(index)
      index = index.clamp(0, items.last)
      problem = items.posed_there(index)
      there = problem ? { problem_id: problem.id } : { part_id: items.part.id, item: index }
      { classroom_id: items.part.classroom_id, **there }
    end

    attr_reader :items
  end
end
