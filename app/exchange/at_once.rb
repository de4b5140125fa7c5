# frozen_string_literal: true

module Exchange
  # All of something that is brought in, or nothing. Rows are looked up by index meanwhile: of those that have just come
  # in the database knows nothing, and would go through all of them for each.
  module AtOnce
    module_function

    def call
      DB.transaction do
        DB.run("SET LOCAL enable_seqscan = off")
        yield
      end
    end
  end
end
