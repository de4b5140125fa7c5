# frozen_string_literal: true

module Records
  # Something is asked for that is not there any more, or is another's.
  class Gone < StandardError
    def initialize(message = "that is not there any more") = super
  end
end
