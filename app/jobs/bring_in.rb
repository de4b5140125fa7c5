# frozen_string_literal: true

require "json"

module Jobs
  # A file is brought in after it was looked at. See Sent.
  class BringIn < Sent
    # @return [String] JSON: what is said of it, and of which class the page comes next
    def call
      done = incoming { |file| file.bring(upload.name) { |lines| report(lines, file.lines) } }
      Records::Brought.look_at_how_much
      upload.delete
      JSON.generate(note: done.note, room: done.room.id)
    end

    private

    # From another connection: what is brought in is one transaction.
    def report(lines, all) = Thread.new { @job.report(lines, all) }.join
  end
end
