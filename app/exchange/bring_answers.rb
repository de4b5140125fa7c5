# frozen_string_literal: true

module Exchange
  # Answers of a table, on their way into a class: what of them is there already, whose they are, and then all of them
  # or nothing. Rows that are equal count as often as they are there.
  class BringAnswers
    SLICE = 500
    # When a day's answers are put, since a table tells the day alone.
    HOUR = 10 * 3600

    # rows: that can be read. new: of them, those that are not there. unknown: names of nobody in the class. faults:
    # Array<AnswerTable::Fault>.
    Preview = Struct.new(:rows, :new, :unknown, :faults, keyword_init: true)

    # @param room [Records::Classroom]
    # @param table [AnswerTable]
    # @param adding [Boolean] whether names that are nobody's yet are put on the list
    def initialize(room, table, adding: false)
      @room = room
      @table = table
      @adding = adding
    end

    # Writes nothing.
    # @return [Preview]
    def preview
      unknown, fresh = Hash.new(0), 0
      rows = @table.each_row do |row|
        child = children[row.child]
        unknown[row.child] += 1 unless child
        fresh += 1 unless child && there_already?(child, row)
      end
      Preview.new(rows: rows, new: fresh, unknown: unknown.keys, faults: @table.faults)
    end

    # @param account [Records::Account]
    # @param name [String] of the file
    # @yield [Integer] how many lines are in
    # @return [Integer] how many were brought
    def call(account, name:, &told)
      AtOnce.call { Records::Brought.whole(@room, account, "answers", name) { |brought| write(brought, told) } }
    end

    private

    # @return [Integer] how many were written
    def write(brought, told)
      @brought = brought
      slice, put = [], 0
      @table.each_row do |row|
        made = made(row) or next
        slice << made
        put += 1
        next unless slice.size == SLICE

        slice = insert(slice)
        told&.call(put)
      end
      insert(slice)
      Records::Ledger.new(@room).rebuild
      put
    end

    def children = @children ||= DB[:children].where(classroom_id: @room.id).select_hash(:name, :id)

    # @return [Boolean] whether such a row is there still to be counted off
    def there_already?(child, row)
      key = key(child, row)
      (counted[key] -= 1) >= 0 if counted[key].positive?
    end

    # @return [Hash{Array => Integer}] how often each row is there
    def counted
      @counted ||= begin
        rows = @room.observations_dataset.standing.with_posed
                    .select_map([:child_id, :happened_at, Sequel[:posed][:equation], :code, :answer])
        Hash.new(0).merge(rows.map { |child, at, *rest| [child, @room.today(at), *rest] }.tally)
      end
    end

    def key(child, row) = [child, row.record.day, row.problem.to_s, row.code, row.answer]

    def made(row)
      child = children[row.child] || (newcomer(row.child) if @adding) or return
      return if there_already?(child, row)

      at = Time.at(@room.midnight(row.record.day).to_i + HOUR + (seconds[row.record.day] += 1))
      tap = SecureRandom.uuid
      { classroom_id: @room.id, child_id: child, problem_id: problems.id(row, at), first_key: tap, client_key: tap,
        happened_at: at, code: row.code, rung: row.record.rung, move: row.move, answer: row.answer,
        right: row.record.right, help: row.record.help, seconds: row.seconds, brought_id: @brought,
        recorded_at: Time.now }
    end

    def seconds = @seconds ||= Hash.new(0)

    def newcomer(name)
      most = Records::Child::MOST
      raise Rungs::Error::Unreadable, "a class has at most #{most} children" if children.size >= most
      raise Rungs::Error::Unreadable, "that name is too long" if name.length > ClassList::LONGEST

      @children[name] = DB[:children].insert(classroom_id: @room.id, name: name, brought_id: @brought,
                                             created_at: Time.now)
    end

    # One problem for each equation of a day, many of them written at once.
    class Problems
      def initialize(room, brought)
        @room = room
        @brought = brought
        @ids, @lessons, @waiting = {}, {}, []
      end

      # @return [Integer] the id that the problem has, or will have
      def id(row, at)
        @ids[[row.record.day, row.problem.to_s]] ||= begin
          lesson = @lessons[row.record.day] ||= lesson_on(row.record.day)
          given = next_id
          @waiting << { **lesson.build_posed(row.problem, story: "", at: at).values, id: given }
          given
        end
      end

      def write
        DB[:problems].multi_insert(@waiting)
        @waiting = []
      end

      private

      def lesson_on(day)
        Records::Lesson.call(id: Archive::Days.lesson(@room, day, @brought), classroom_id: @room.id, held_on: day)
      end

      # Numbers are fetched by the hundred.
      def next_id
        @given = Archive::Numbers.of(:problems, SLICE) if @given.nil? || @given.empty?
        @given.shift
      end
    end
    private_constant :Problems

    def problems = @problems ||= Problems.new(@room, @brought)

    def insert(rows)
      problems.write
      DB[:observations].multi_insert(rows)
      []
    end
  end
end
