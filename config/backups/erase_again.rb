# frozen_string_literal: true

class Backups
  # Takes who was erased since out of a database that was put back to how it was, at whatever step its tables are: the
  # child with all that hangs on it, and the name out of every text of that class.
  class EraseAgain
    # What is made of a class or waits for it; names in there cannot be found.
    FILES = %i[jobs uploads].freeze

    # @param db [Sequel::Database]
    def initialize(db)
      @db = db
    end

    # @param erased [Array<Array(String, Integer)>] key of a class, and number of a child
    # @return [Integer] how many were there again
    def call(erased)
      return 0 unless has?(:classrooms, :key) && has?(:children, :id)

      erased.count { |key, id| erase(key, id) }
    end

    private

    def has?(table, column) = @db.table_exists?(table) && @db[table].columns.include?(column)

    def erase(key, id)
      room = @db[:classrooms].where(key: key).get(:id) or return false
      name = @db[:children].where(id: id, classroom_id: room).get(:name) or return false
      @db.transaction do
        FILES.each { |table| @db[table].where(classroom_id: room).delete if has?(table, :classroom_id) }
        @db[:children].where(id: id).delete
        texts.each { |table, column, type| forget(name, @db[table].where(classroom_id: room), column, type) }
      end
      true
    end

    # Every text of the tables of a class.
    # @return [Array<Array(Symbol, Symbol, String)>]
    def texts
      columns = @db[Sequel[:information_schema][:columns]].where(table_schema: "public")
      ours = columns.where(column_name: "classroom_id").select(:table_name)
      columns.where(table_name: ours, data_type: %w[text jsonb json])
             .select_map(%i[table_name column_name data_type])
             .map { |table, column, type| [table.to_sym, column.to_sym, type] }
    end

    def forget(name, rows, column, type)
      whole = "(?<![[:alpha:]])#{Regexp.escape(name)}(?![[:alpha:]])"
      text = Sequel.cast(column, :text)
      changed = Sequel.function(:regexp_replace, text, whole, "somebody", "g")
      rows.where(Sequel.lit("? ~ ?", text, whole)).update(column => Sequel.cast(changed, type))
    end
  end
end
