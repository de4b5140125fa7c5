# frozen_string_literal: true

module Rungs
  # Every refusal of the core, with a message that a teacher could read.
  class Error < StandardError
    # Numbers or words that do not make a problem.
    class NotAProblem < Error; end

    # More was asked for than there is.
    class TooMany < Error; end

    # A name that is in no catalogue.
    class Unknown < Error; end

    # Something that could not be read, such as an equation or a date.
    class Unreadable < Error; end
  end
end
