# frozen_string_literal: true

module Jobs
  # Work on a file that somebody sent. asked: upload, its number; form, what was chosen on the page that shows it.
  class Sent
    def initialize(job)
      @job = job
    end

    private

    def asked = @job.asked.to_h

    def upload
      @upload ||= @job.account.uploads_dataset.first(id: asked["upload"], classroom_id: @job.classroom_id) ||
                  raise(Records::Gone)
    end

    # @yield [Exchange::Incoming::Kind]
    def incoming
      upload.open_file do |path|
        yield Exchange::Incoming.of(path, @job.classroom, @job.account, asked["form"].to_h)
      end
    end
  end
end
