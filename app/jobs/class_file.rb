# frozen_string_literal: true

require "tempfile"

module Jobs
  # A whole class in one file, with its photos.
  class ClassFile
    def initialize(job)
      @job = job
    end

    # @return [String] ZIP
    def call
      Tempfile.create("rungs-class", binmode: true) do |file|
        Exchange::Archive.write(@job.classroom, to: file.path) { |done, total| @job.told(done, total) }
        File.binread(file.path)
      end
    end
  end
end
