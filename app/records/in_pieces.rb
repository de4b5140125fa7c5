# frozen_string_literal: true

require "stringio"
require "tempfile"

module Records
  # A file that lies in the database in pieces, so that nobody holds all of it at once. Who includes it says by which
  # column the pieces are its own (PIECES_BY).
  module InPieces
    # Bytes of a piece.
    PIECE = 1024**2

    # @param file [IO, String] the bytes, which are read from their beginning
    def put(file)
      file = StringIO.new(file) if file.is_a?(String)
      file.rewind
      number = -1
      while (bytes = file.read(PIECE))
        pieces.insert(self.class::PIECES_BY => id, classroom_id: classroom_id, number: number += 1,
                      bytes: Sequel.blob(bytes))
      end
    end

    # @return [Enumerator<String>] each piece in its order, fetched when it is asked for
    def stream
      Enumerator.new do |out|
        numbers = pieces.select_order_map(:number)
        numbers.each { |number| out << pieces.where(number: number).get(:bytes) }
      end
    end

    # @return [Integer] bytes
    def size = pieces.sum(Sequel.function(:length, :bytes)).to_i

    # All of it at once: of what is small.
    # @return [String]
    def whole = stream.to_a.join

    # @yield [String] the path of a file with its bytes, for as long
    def open_file
      Tempfile.create("rungs", binmode: true) do |file|
        stream.each { |piece| file.write(piece) }
        file.flush
        yield file.path
      end
    end

    private

    def pieces = DB[:pieces].where(self.class::PIECES_BY => id)
  end
end
