# frozen_string_literal: true

module Records
  # A file that somebody looks at before it is brought in: kept for an hour, for that person and class alone.
  class Upload < Sequel::Model(:uploads)
    include InPieces

    PIECES_BY = :upload_id
    KEPT = 3600
    MOST = Settings::LARGEST_FILE

    # @param sent [Hash] as a form sends a file
    # @return [Upload]
    # @raise [Rungs::Error::Unreadable]
    def self.receive(room, account, sent)
      file = sent.fetch(:tempfile)
      raise Rungs::Error::Unreadable, "That file is larger than #{MOST / (1024**2)} MB" if file.size > MOST

      where(account_id: account.id).delete
      name = sent[:filename].to_s.scrub("")[0, 120]
      create(account_id: account.id, classroom_id: room.id, name: name, at: Time.now).tap { |upload| upload.put(file) }
    end

    def self.tidy(now = Time.now) = where { at < now - KEPT }.delete
  end
end
