# frozen_string_literal: true

require "json"
require "timeout"

module Jobs
  # A file is looked at before it is brought in; nothing is written. See Sent.
  class Look < Sent
    # Seconds that it may take: what needs longer is no class and no table that somebody kept.
    LONGEST = 60

    # @return [String] JSON: the part of the page that shows it, and what it would bring
    def call
      Timeout.timeout(LONGEST) { incoming { |file| JSON.generate(part: file.class.view, shows: file.shows) } }
    rescue Timeout::Error
      raise Rungs::Error::Unreadable, "it takes too long to read that file"
    end
  end
end
