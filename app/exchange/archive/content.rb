# frozen_string_literal: true

module Exchange
  module Archive
    # What stands in a file about a class, or a part of it: row by row, as it is asked for.
    class Content
      # @param room [Records::Classroom]
      # @param holding [Holding] who else is in the class is named nowhere in it
      def initialize(room, holding = Holding.whole)
        @room = room
        @holding = holding
        @narrowed = Narrowed.new(room, holding) unless holding.whole?
      end

      attr_reader :holding

      # @return [Hash{String => Object}] of the class itself
      def about
        own = { **@room.values, settings: @narrowed ? {} : @room.settings.to_h }
        { "format" => FORMAT, "version" => VERSION,
          "class" => Lists::CLASS.to_h { |field| [field.name.to_s, field.write(own[field.name], numbers)] } }
      end

      # @param list [List]
      # @return [Enumerator<Hash{String => Object}>]
      def rows(list)
        return to_enum(:rows, list) unless block_given?

        kept = dataset(list).select(*(list.numbered ? [:id] : []), *list.columns).paged_each
        all = list.name == :came_with ? kept.to_a + where_each_is : kept
        all.each.with_index(1) { |row, number| yield written(list, row, number) }
      end

      # Everything at once.
      def to_h = { **about, **Lists::ALL.to_h { |list| [list.name.to_s, rows(list).to_a] } }

      # @yield [Integer, String] a photo's number, and its bytes
      def photos
        return to_enum(:photos) unless block_given?

        ids = numbers.fetch(:photos).keys
        ids.each.with_index(1) { |id, number| yield number, DB[:photos].where(id: id).get(:content) }
      end

      def photos_size = numbers.fetch(:photos).size

      private

      def written(list, row, number)
        own = list.numbered ? { "number" => number } : {}
        row = { **row, file: Archive.photo(number) } if list.name == :photos
        row = @narrowed.row(list.name, row) if @narrowed
        { **own, **list.fields.to_h { |field| [field.name.to_s, field.write(row[field.name], numbers)] } }
      end

      def where_each_is = @holding.estimates ? Records::CameWith.rows(@room, @holding.children) : []

      # By list, each id with its number in the file.
      def numbers
        @numbers ||= Lists::ALL.select(&:numbered).to_h do |list|
          [list.name, dataset(list).select_map(:id).each.with_index(1).to_h]
        end
      end

      def dataset(list)
        rows = DB[list.name]
        rows = rows.where(list.within ? hanging_on(list) : { classroom_id: @room.id })
        rows = @narrowed.dataset(list, rows) if @narrowed
        rows.order(*list.order, *(list.numbered ? [:id] : []))
      end

      # Rows that hang on those of another list of this class.
      def hanging_on(list)
        key = list.fields.find { |field| field.to == list.within }.name
        { key => DB[list.within].where(classroom_id: @room.id).select(:id) }
      end
    end
  end
end
