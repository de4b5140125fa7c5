# frozen_string_literal: true

require "digest"

module Records
  # Wrong guesses of late, kept in the database so that several servers share them: whoever guesses wrong too often
  # waits, longer each time.
  module Attempts
    TABLE = DB[:attempts]
    # Seconds after the last wrong one in which they count; seconds that somebody waits at most.
    COUNT = 3600
    LONGEST = 300

    module_function

    # @param what [Array<String>] what was guessed, and by whom or of whom
    def wrong(what)
      last = { expires_at: Time.now + COUNT }
      over = Sequel[:attempts][:expires_at] < Time.now
      again = { count: Sequel.case({ over => 1 }, Sequel[:attempts][:count] + 1), **last }
      TABLE.insert_conflict(target: :key, update: again).insert(key: key(what), count: 1, **last)
    end

    # @param free [Integer] how many wrong ones make nobody wait
    # @return [Integer] seconds until the next may be made; each wrong one more doubles them
    def wait(what, free:)
      there = TABLE.where(key: key(what)).where { expires_at > Time.now }.first or return 0
      return 0 if there[:count] < free

      waits = 2**[there[:count] - free + 1, 10].min
      (there[:expires_at] - COUNT + [waits, LONGEST].min - Time.now).ceil.clamp(0..)
    end

    # A right one: nothing is held against it.
    def right(what) = TABLE.where(key: key(what)).delete

    def tidy = TABLE.where { expires_at < Time.now }.delete

    # Nobody's address can be read there.
    def key(what) = "#{what.first} #{Digest::SHA256.hexdigest(what.join(' '))[0, 32]}"
    private_class_method :key
  end
end
