# frozen_string_literal: true

require "fileutils"
require "json"

class Backups
  # What lies beside the copies, so that one which is brought back brings nobody back and gives no number twice: who was
  # erased, and how high every sequence ever stood.
  class Beside
    ERASED = "erased-children"
    SEQUENCES = "sequences.json"

    # @param folder [String]
    def initialize(folder)
      @folder = folder
    end

    # A child's number alone is another child's on another machine; so the key of the class stands with it.
    # @return [Array<Array(String, Integer)>] key of a class, and number of a child
    def erased
      lines = file?(ERASED) ? File.readlines(path(ERASED), chomp: true).map(&:split) : []
      lines.map { |key, id| [key, id.to_i] }
    end

    # @return [Hash{String => Integer}]
    def sequences = file?(SEQUENCES) ? JSON.parse(File.read(path(SEQUENCES))) : {}

    # @param erased [Array<Array(String, Integer)>]
    # @param sequences [Hash{String => Integer}]
    def add(erased:, sequences:)
      write(ERASED, (self.erased | erased).sort.map { |pair| pair.join(" ") }.join("\n"))
      write(SEQUENCES, JSON.generate(self.sequences.merge(sequences) { |_, *both| both.max }))
    end

    # @param other [Beside] of a copy that was brought here
    def merge(other) = add(erased: other.erased, sequences: other.sequences)

    private

    def path(name) = File.join(@folder, name)
    def file?(name) = File.exist?(path(name))

    def write(name, text)
      FileUtils.mkdir_p(@folder, mode: 0o700)
      File.write(path(name), text, perm: 0o600)
    end
  end
end
