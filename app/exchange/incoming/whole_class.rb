# frozen_string_literal: true

module Exchange
  module Incoming
    # A class, which becomes one beside this.
    class WholeClass < Kind
      def shows
        { title: named, amounts: archive.amounts.map { |what, many| [many, *Archive::WORDS.fetch(what)] },
          there: same_class && { id: same_class.id, name: same_class.name } }
      end

      # @param name [String] of the file
      def bring(name)
        refuse("That class is there already; reading it again adds nothing") if same_class
        made = archive.bring(@person)
        Records::Brought.note(made, @person, "class", name)
        Records::Audit.note("brought", account_id: @person.id, classroom: made)
        Done.new(note: "#{made.name} is brought in. For thirty days it can be taken back.", room: made)
      end

      private

      def archive = @source

      # That is there already, by its key.
      # @return [Records::Classroom, nil]
      def same_class = @same_class ||= (@person.classrooms + @person.archived).find { |each| each.key == archive.key }
    end
  end
end
