# frozen_string_literal: true

module Records
  # Something is asked for that is not there any more, or is another's.
  class Gone < StandardError; end
end
