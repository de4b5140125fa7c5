# frozen_string_literal: true

require "forwardable"

module Exchange
  module Incoming
    # A table of answers from elsewhere.
    class Answers < Kind
      extend Forwardable

      def_delegators :table, :missing, :lines

      # Which column is what, and, where none is missing, what would come.
      def shows
        told = { known: AnswerTable::KNOWN.keys, headings: table.headings, columns: table.columns, missing: missing }
        return told if missing.any?

        preview = BringAnswers.new(room, table).preview
        { **told, preview: { **preview.to_h, faults: preview.faults.map(&:to_h) } }
      end

      # @param name [String] of the file
      # @yield [Integer] lines that are in
      def bring(name, &)
        refuse("Say which column is #{missing.join(', ')}") if missing.any?
        many = BringAnswers.new(room, table, adding: @form["adding"]).call(@person, name: name, &)
        done("#{many} #{many == 1 ? 'answer' : 'answers'} brought in.")
      end

      private

      def table = @table ||= AnswerTable.new(@source, today: room.today, columns: @form["columns"])
    end
  end
end
