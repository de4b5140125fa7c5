# frozen_string_literal: true

module Exchange
  module Archive
    # Ids that rows will have: taken from their sequence, so that none is given twice.
    module Numbers
      module_function

      # @param table [Symbol]
      # @return [Array<Integer>] so many, in order
      def of(table, many)
        sequence = Sequel.function(:pg_get_serial_sequence, table.to_s, "id").cast(:regclass)
        rows = DB.from(Sequel.function(:generate_series, 1, many))
        rows.select_map(Sequel.function(:nextval, sequence).as(:id)).sort
      end
    end
  end
end
