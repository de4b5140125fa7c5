# frozen_string_literal: true

module Exchange
  module Archive
    # What stands in a file about a class, or about one child of it: row by row, as it is asked for.
    class Content
      # @param room [Records::Classroom]
      # @param child [Records::Child, nil] only what is about this child; others are named nowhere
      def initialize(room, child: nil)
        @room = room
        @child = child
      end

      # @return [Hash{String => Object}] of the class itself
      def about
        own = { **@room.values, settings: @child ? {} : @room.settings.to_h }
        { "format" => FORMAT, "version" => VERSION,
          "class" => Lists::CLASS.to_h { |field| [field.name.to_s, field.write(own[field.name], numbers)] } }
      end

      # @param list [List]
      # @return [Enumerator<Hash{String => Object}>]
      def rows(list)
        return to_enum(:rows, list) unless block_given?

        dataset(list).select(*(list.numbered ? [:id] : []), *list.columns).paged_each.with_index(1) do |row, number|
          yield written(list, row, number)
        end
      end

      # Everything at once.
      def to_h = { **about, **Lists::ALL.to_h { |list| [list.name.to_s, rows(list).to_a] } }

      # @yield [Integer, String] a photo's number, and its bytes
      def photos
        ids = numbers.fetch(:photos).keys
        ids.each.with_index(1) { |id, number| yield number, DB[:photos].where(id: id).get(:content) }
      end

      def photos_size = numbers.fetch(:photos).size

      private

      def written(list, row, number)
        own = list.numbered ? { "number" => number } : {}
        row = { **row, file: Archive.photo(number) } if list.name == :photos
        told = @child ? without_others(list.name, row) : row
        { **own, **list.fields.to_h { |field| [field.name.to_s, field.write(told[field.name], numbers)] } }
      end

      # Of a child's own file: what is kept for all, and other children's names in stories.
      def without_others(list, row)
        case list
        when :lessons then { **row, listening: nil, groups: nil, set_aside: nil }
        when :lesson_parts then { **row, details: row[:details].to_h.slice("options", "seed", "count") }
        when :problems then { **row, story: row[:story].gsub(others, "a child") }
        when :ways then { **row, initials: @child.name[0], tally: 1 }
        else row
        end
      end

      def others
        names = DB[:children].where(classroom_id: @room.id).exclude(id: @child.id).select_map(:name)
        @others ||= names.empty? ? /(?!)/ : /(?<!\p{L})(?:#{Regexp.union(names)})(?!\p{L})/
      end

      # By list, each id with its number in the file.
      def numbers
        @numbers ||= Lists::ALL.select(&:numbered).to_h do |list|
          [list.name, dataset(list).select_map(:id).each.with_index(1).to_h]
        end
      end

      def dataset(list)
        rows = DB[list.name]
        rows = rows.where(list.within ? hanging_on(list) : { classroom_id: @room.id })
        rows = rows.where(list.of_child.call(@child)) if @child
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
