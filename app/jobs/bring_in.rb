# frozen_string_literal: true

require "json"

module Jobs
  # A file is brought in. asked: upload, the number of the file that was looked at; form, what was chosen; lines, how
  # many there are to read.
  class BringIn
    def initialize(job)
      @job = job
    end

    # @return [String] JSON: what is said of it, and of which class the page comes next
    def call
      upload = @job.account.uploads_dataset.first(id: asked["upload"], classroom_id: @job.classroom_id)
      raise Records::Gone unless upload

      done = upload.open_file do |path|
        Exchange::Incoming.of(path, @job.classroom, @job.account, asked["form"].to_h).bring(upload.name) { |at| told(at) }
      end
      Records::Brought.look_at_how_much
      upload.delete
      JSON.generate(note: done.note, room: done.room.id)
    end

    private

    def asked = @job.asked.to_h

    # From another connection: what is brought in is one transaction.
    def told(lines) = Thread.new { @job.told(lines, asked["lines"].to_i) }.join
  end
end
