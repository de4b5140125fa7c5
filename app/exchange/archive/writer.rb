# frozen_string_literal: true

require "digest"
require "zip"

module Exchange
  module Archive
    # Writes a class to a stream, a row and a photo at a time. The only thing in it that another day changes is the date
    # of its manifest.
    class Writer
      # Of everything in the file.
      LONG_AGO = Zip::DOSTime.local(1980, 1, 1)

      # @param content [Content]
      def initialize(content)
        @content = content
        @sums = {}
      end

      # @param to [String] the path of the file
      # @yield [Integer, Integer] photos that are in, of how many
      def zip(to, now:)
        Zip::OutputStream.open(to) do |zip|
          put(zip, CLASS) { |out| class_json(out) }
          @content.photos do |number, bytes|
            put(zip, Archive.photo(number), stored: true) { |out| out << bytes }
            yield number, @content.photos_size if block_given?
          end
          put(zip, MANIFEST) { |out| out << "#{JSON.pretty_generate(manifest(now))}\n" }
        end
      end

      # @param out [#<<] to which class.json is written, a line a row
      def class_json(out)
        out << JSON.generate(@content.about).delete_suffix("}")
        Lists::ALL.each do |list|
          out << ",\n#{list.name.to_s.to_json}: ["
          @content.rows(list).with_index { |row, place| out << (place.zero? ? "\n" : ",\n") << JSON.generate(row) }
          out << "\n]"
        end
        out << "\n}\n"
      end

      private

      # Bytes on their way into a file, whose sum is taken as they pass.
      Passing = Struct.new(:into, :digest) do
        def <<(bytes)
          digest << bytes
          into << bytes
          self
        end
      end
      private_constant :Passing

      def put(zip, name, stored: false)
        method = stored ? Zip::Entry::STORED : Zip::Entry::DEFLATED
        zip.put_next_entry(Zip::Entry.new(nil, name, time: LONG_AGO), nil, nil, method)
        passing = Passing.new(zip, Digest::SHA256.new)
        yield passing
        @sums[name] = passing.digest.hexdigest
      end

      def manifest(now)
        { "format" => FORMAT, "version" => VERSION, "holds" => @content.holding.id, "made_at" => now.getutc.iso8601,
          "sha256" => @sums.except(MANIFEST) }
      end
    end
  end
end
