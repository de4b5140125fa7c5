# frozen_string_literal: true

module Pages
  module Climb
    # One child of the class: an estimate and a movement per column.
    Row = Struct.new(:child, :estimates, :moves, keyword_init: true) do
      def self.of(child, evidence, view, columns)
        new(child: child, estimates: columns.map { |scope| evidence.glance(child, view.operation, scope, on: view.to) },
            moves: columns.map do |scope|
              evidence.movement(child, view.operation, scope, from: view.from, to: view.to)
            end)
      end
    end
  end
end
