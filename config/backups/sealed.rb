# frozen_string_literal: true

require "fileutils"
require "open3"

class Backups
  # Files that only the holder of a key can read, where a recipient is set; by age.
  class Sealed
    Failure = Copies::Failure
    ENDING = ".age"

    # @param recipient [String, nil] a public key of age
    # @param identity [String, nil] a file with the key that reads them
    def initialize(recipient: ENV.fetch("RUNGS_BACKUP_RECIPIENT", nil),
                   identity: ENV.fetch("RUNGS_BACKUP_IDENTITY", nil))
      @recipient = recipient
      @identity = identity
    end

    # @param plain [String] a path
    # @return [String] the path of what stays; the plain file goes where a recipient is set
    # @raise [Failure]
    def seal(plain)
      return plain unless @recipient

      sealed = plain + ENDING
      age("--encrypt", "--recipient", @recipient, "--output", sealed, plain)
      File.chmod(0o600, sealed)
      FileUtils.rm_f(plain)
      sealed
    end

    # @yield [String] the path of a copy that can be read, for as long
    # @raise [Failure] saying why it cannot be
    def read(file)
      raise Failure, "There is no copy #{file}." unless File.file?(file)
      return yield file unless file.end_with?(ENDING)
      raise Failure, "That copy is encrypted: set RUNGS_BACKUP_IDENTITY to the file with its key." unless @identity

      begin
        plain = File.join(File.dirname(file), "reading-#{Process.pid}")
        age("--decrypt", "--identity", @identity, "--output", plain, file)
        File.chmod(0o600, plain)
        yield plain
      ensure
        FileUtils.rm_f(plain)
      end
    end

    private

    # What age says of a wrong key, in words of whoever keeps the machine.
    NO_KEY = /no identity matched|malformed|unknown identity|no such file|failed to (read|open)/i
    private_constant :NO_KEY

    def age(*arguments)
      said, status = Open3.capture2e("age", *arguments)
      return if status.success?
      raise Failure, "RUNGS_BACKUP_IDENTITY (#{@identity}) is not the key of that copy." if said.match?(NO_KEY)

      raise Failure, "The copy could not be encrypted or read: #{said.lines.first.to_s.strip}"
    rescue Errno::ENOENT
      raise Failure, "age is not there: install the Debian package age."
    end
  end
end
