# frozen_string_literal: true

module Live
  # Boards as they were drawn last, so that every window of a lesson gets what was drawn once. A board is another as
  # soon as its version is.
  class Screens
    MOST = 400

    def initialize
      @drawn = {}
      @lock = Mutex.new
    end

    # @param key [Array] lesson, version, and whatever else it depends on
    # @yield draws it where it was not drawn yet
    # @return [String]
    def fetch(key)
      there = @lock.synchronize { @drawn[key] }
      return there if there

      yield.tap do |html|
        @lock.synchronize do
          @drawn.shift if @drawn.size >= MOST
          @drawn[key] = html
        end
      end
    end
  end
end
