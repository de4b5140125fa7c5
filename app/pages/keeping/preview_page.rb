# frozen_string_literal: true

module Pages
  module Keeping
    # What a file would bring: a class, or answers of this one. Nothing is written yet.
    class PreviewPage < Shared::Page
      view :"keeping/preview", tab: "records", title: "What would be brought in"

      # @param upload [Records::Upload]
      # @param asked [Hash] columns: {String => String}, what is read from which heading
      def initialize(visit, upload, **asked)
        super(visit, **asked)
        @upload = upload
      end

      attr_reader :upload

      def back = "/records/#{room.id}"
      def here = "#{back}/in/#{upload.id}"

      # @return [Exchange::Archive::Reader, nil]
      def archive = @archive ||= upload.zip? ? upload.open_file { |path| Exchange::Archive.read(path) } : nil

      # A class that is there already, by its key.
      # @return [Records::Classroom, nil]
      def there(read = archive) = (person.classrooms + person.archived).find { |each| each.key == read.key }

      def_delegators :read, :headings, :columns, :missing
      def known = Exchange::AnswerTable::KNOWN.keys

      # @return [Exchange::BringAnswers::Preview, nil] nil where a column is missing
      def answers
        @answers ||= table { |table| Exchange::BringAnswers.new(room, table).preview } if missing.empty?
      end

      # Its headings, which of them are read, and what is missing.
      Read = Struct.new(:headings, :columns, :missing)
      private_constant :Read

      def read = @read ||= table { |table| Read.new(table.headings, table.columns, table.missing) }

      # @yield [Exchange::AnswerTable]
      def table
        upload.open_file { |path| yield Exchange::AnswerTable.new(path, today: today, columns: asked[:columns]) }
      end
    end
  end
end
