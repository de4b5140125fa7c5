# frozen_string_literal: true

module Exchange
  module Archive
    # Makes a class of what stands in a file: every row gets an id of its own, and estimates are made anew.
    class Bringing
      SLICE = 500

      # @param document [Hash] as its schema has it
      # @param account [Records::Account] its teacher
      # @yield [String] the name of a photo → its bytes
      def initialize(document, account, &photo)
        @document = document
        @account = account
        @photo = photo
      end

      # @return [Records::Classroom]
      # @raise [KeyError, Sequel::ConstraintViolation] and nothing is there
      def call
        AtOnce.call do
          @ids = Lists::ALL.select(&:numbered).to_h { |list| [list.name, ids_for(list)] }
          room = @account.start_classroom(**about, created_at: @document["class"]["created_at"])
          Lists::ALL.each { |list| insert(list, room) }
          Records::Ledger.new(room).rebuild
          room
        end
      end

      private

      # A number in the file and the id its row gets, in the same order.
      def ids_for(list)
        Numbers.of(list.name, @document[list.name.to_s].size).each.with_index(1).to_h { |id, number| [number, id] }
      end

      def about
        Lists::CLASS.to_h { |field| [field.name, field.read(@document["class"][field.name.to_s], @ids)] }
                    .except(:created_at)
      end

      def insert(list, room)
        @document[list.name.to_s].each_slice(SLICE) do |rows|
          DB[list.name].multi_insert(rows.map { |row| made(list, row, room) })
        end
      end

      def made(list, row, room)
        values = list.fields.to_h { |field| [field.name, field.read(row[field.name.to_s], @ids)] }
        values[:content] = Sequel.blob(@photo.call(values.delete(:file))) if list.name == :photos
        { **(list.numbered ? { id: @ids[list.name].fetch(row["number"]) } : {}),
          **(list.within ? {} : { classroom_id: room.id }), **values }
      end
    end
  end
end
