# frozen_string_literal: true

require "forwardable"

module Exchange
  module Incoming
    # A table of answers from elsewhere.
    class Answers < Kind
      extend Forwardable

      def_delegators :table, :headings, :columns, :missing

      def known = AnswerTable::KNOWN.keys

      # @return [BringAnswers::Preview, nil] nil where a column is missing
      def preview = @preview ||= (BringAnswers.new(room, table).preview if missing.empty?)

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
