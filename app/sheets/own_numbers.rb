# frozen_string_literal: true

module Sheets
  # Practice with numbers of their own under the same heading: a page for each group, as often as it has children, or
  # for one child: each copy begins with another problem. A small mark in the foot tells them apart, and no name.
  class OwnNumbers < Practice
    entry id: "own", title: "Numbers of their own", shelf: nil, any_activity: false, once: true
    without :set, :seed, :answers
    choice "child", 1..(10**17), label: "for", usual: nil, offered: :one_child.to_proc

    class << self
      def needed_by?(_activity) = false

      def listed(source)
        [(["Numbers for each group", {}] if source.groups.any?),
         (["Numbers for one child", { child: source.children.first.id }] if source.children.any?)].compact
      end

      def drawn_from(source, chosen)
        { sets: source.sets(**chosen.slice(:child, :per_page)), title: source.focus_title,
          per_page: chosen[:per_page], down: source.written[:down] }
      end
    end

    # @param sets [Array<Array(Integer, Array<Rungs::Activity::Item>)>] how many copies, and of what
    # @raise [Rungs::Error::NotAProblem]
    def initialize(sets:, **sheet)
      super(items: sets.flat_map(&:last), **sheet)
      @sets = sets
      @all = @items
    end

    private

    def body
      @sets.each_with_index do |(copies, items), place|
        copies.times do |copy|
          paper.turn if place.positive? || copy.positive?
          @items = items.rotate(copy)
          super()
          paper.small((place + 1).to_s, x: paper.width / 2, y: paper.height + 3, size: 9) if @sets.size > 1
        end
      end
      @items = @all
    end
  end
end
