# frozen_string_literal: true

require "tempfile"

module Jobs
  # A whole class in one file, with its photos, or a part of it. asked: holds, what of it; of children handed over their
  # ids, records and photos; of plans from and until, two days.
  class ClassFile
    def initialize(job)
      @job = job
    end

    # @return [Tempfile] ZIP
    def call
      file = Tempfile.new("rungs-class", binmode: true)
      Exchange::Archive.write(room, to: file.path, holding: holding) { |done, total| @job.report(done, total) }
      file.size > Settings::LARGEST_FILE ? too_large : file
    end

    private

    HOLDING = Exchange::Archive::Holding
    private_constant :HOLDING

    def room = @job.classroom

    # What is written is read back, whatever is in between.
    def too_large
      raise Exchange::Archive::Refused, "this file would be larger than #{Settings::LARGEST_FILE / (1024**2)} MB and " \
                                        "could not be brought in again: take photos out first, or hand over a few"
    end

    def holding
      case asked["holds"]
      when "children" then HOLDING.handed(children, records: asked["records"], photos: asked["photos"])
      when "plans" then HOLDING.plans(Date.iso8601(asked["from"])..Date.iso8601(asked["until"]))
      else HOLDING.whole
      end
    end

    def asked = @asked ||= @job.asked.to_h

    def children
      asked["children"].filter_map { |id| room.anybody(id) }.tap { |there| raise Records::Gone if there.empty? }
    end
  end
end
