# frozen_string_literal: true

require "tempfile"

module Records
  # A file that somebody looks at before it is brought in: kept for an hour, for that person and class alone.
  class Upload < Sequel::Model(:uploads)
    KEPT = 3600
    MOST = Settings::LARGEST_FILE

    # @param sent [Hash] as a form sends a file
    # @return [Upload]
    def self.keep(room, account, sent)
      content = sent.fetch(:tempfile).read(MOST + 1).to_s
      raise Rungs::Error::Unreadable, "That file is larger than #{MOST / (1024**2)} MB" if content.bytesize > MOST

      where(account_id: account.id).delete
      create(account_id: account.id, classroom_id: room.id, name: sent[:filename].to_s.scrub("")[0, 120], at: Time.now,
             content: Sequel.blob(content))
    end

    def self.tidy(now = Time.now) = where { at < now - KEPT }.delete

    # @yield [String] the path of a file with its bytes, for as long
    def open_file
      Tempfile.create("rungs", binmode: true) do |file|
        file.write(content)
        file.flush
        yield file.path
      end
    end
  end
end
