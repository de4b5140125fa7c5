# frozen_string_literal: true

module Exchange
  module Archive
    # Brings children of a file into a class that is there: each into a child of it, as a new one, or not at all. What
    # is there already by its key is not brought again.
    class BringingChildren
      # Beside the id of a child that is there.
      NEW = "new"

      # @param document [Hash] as its schema has it
      # @param room [Records::Classroom]
      # @param whose [Hash{Integer => Integer, String}] a child's number in the file, and whose it becomes; who is not
      #   there stays out
      # @yield [String] the name of a photo → its bytes
      def initialize(document, room, whose, &photo)
        @document = document
        @room = room
        @whose = whose
        @photo = photo
      end

      # @param brought [Integer] under which it can be taken back
      # @return [Integer] how many answers came
      def call(brought)
        AtOnce.call do
          @brought = brought
          @ids = Lists::ALL.to_h { |list| [list.name, {}] }
          @ids[:children] = @whose.to_h { |number, child| [number, child == NEW ? newcomer(number) : child] }
          observations = new_answers
          ask_for(observations)
          insert(:observations, observations)
          bring_rest
          Records::Ledger.new(@room).rebuild(@ids[:children].values)
          observations.size
        end
      end

      private

      def rows(list) = @document[list.to_s]
      def of_these(list) = rows(list).select { |row| @ids[:children].key?(row["child_id"]) }
      def of_class(list) = DB[list].where(classroom_id: @room.id)

      def newcomer(number)
        full if of_class(:children).count >= Records::Child::MOST
        row = rows(:children)[number - 1]
        of_class(:children).insert(**own, name: free(row["name"]), place: row["place"], brought_id: @brought,
                                          created_at: Time.now)
      end

      def full
        raise Refused, "A class has at most #{Records::Child::MOST} children; nothing was brought in"
      end

      # The name, or the first that nobody has: "Ada 2".
      def free(name)
        taken = of_class(:children).select_map(:name)
        return name unless taken.include?(name)

        (2..).lazy.map { |time| "#{name} #{time}" }.find { |each| !taken.include?(each) }
      end

      # Whose taps are not there.
      def new_answers
        mine = of_these(:observations)
        keys = mine.map { |row| row["client_key"] }
        there = of_class(:observations).where(client_key: keys).select_hash(:client_key, :id)
        known, fresh = mine.partition { |row| there.key?(row["client_key"]) }
        @ids[:observations] = known.to_h { |row| [row["number"], there[row["client_key"]]] }
        fresh
      end

      # The problems they are on, each in the lesson of its day.
      def ask_for(observations)
        numbers = observations.to_set { |row| row["problem_id"] }
        asked = rows(:problems).select { |row| numbers.include?(row["number"]) }
        asked.map { |row| row["lesson_id"] }.uniq.each { |number| @ids[:lessons][number] = lesson(number) }
        insert(:problems, asked.map { |row| { **row, "part_id" => nil, "check_in_id" => nil } })
      end

      def lesson(number) = Days.lesson(@room, rows(:lessons).fetch(number - 1)["held_on"], @brought)

      def bring_rest
        there = of_class(:photos).select_map(:client_key).to_set
        insert(:photos, of_these(:photos).reject { |row| there.include?(row["client_key"]) })
        %i[home_answers came_with].each do |list|
          insert(list, of_these(list).reject { |row| of_class(list).where(read(list, row)).any? })
        end
      end

      def insert(list, rows)
        ids = Numbers.of(list, rows.size)
        rows.each_with_index { |row, place| @ids[list][row["number"]] = ids[place] }
        made = rows.map { |row| { id: @ids[list].fetch(row["number"]), **own, **brought(list), **values(list, row) } }
        made.each_slice(Bringing::SLICE) { |slice| DB[list].multi_insert(slice) }
      end

      def values(list, row)
        values = read(list, row)
        values[:content] = Sequel.blob(@photo.call(values.delete(:file))) if list == :photos
        values
      end

      def read(list, row)
        Lists::BY_NAME.fetch(list).fields.to_h { |field| [field.name, field.read(row[field.name.to_s], @ids)] }
      end

      def own = { classroom_id: @room.id }
      def brought(list) = list == :problems ? {} : { brought_id: @brought }
    end
  end
end
