# frozen_string_literal: true

require "digest"
require "zip"

module Exchange
  module Archive
    # A ZIP: what lies in it is looked at and held against its sums before anything of it is read.
    class Zipped < Reader
      ENTRY = %r{\A(#{Regexp.escape(CLASS)}|#{Regexp.escape(MANIFEST)}|photos/\d{6}\.jpg)\z}
      # The first bytes of a JPEG.
      JPEG = "\xFF\xD8\xFF".b

      # @param path [String]
      # @raise [Refused]
      def initialize(path)
        super()
        @path = path
        open_zip do |zip|
          look_at(zip)
          read_manifest(zip)
          @document = of_now(parse(zip, CLASS, MOST_JSON))
          files.each { |name| bytes(zip, name, MOST_PHOTO) }
        end
        check
      end

      private

      def opened
        open_zip { |zip| yield ->(file) { bytes(zip, file, MOST_PHOTO) } }
      end

      def open_zip(&)
        Zip::File.open(@path, &)
      rescue Zip::Error, Zlib::Error, EOFError, ArgumentError, SystemCallError
        refuse("That file is broken, or no ZIP")
      end

      # Only what may lie in it, each once, and no more than that unpacks to.
      def look_at(zip)
        names = zip.entries.map(&:name)
        refuse(NOT_OURS) unless names.all?(ENTRY) && names.uniq.size == names.size && zip.find_entry(MANIFEST)
        refuse("There are more photos in that file than a class can have") if names.size > MOST_THINGS
        refuse("That file is larger than a class can be") if zip.entries.sum(&:size) > MOST
      end

      def read_manifest(zip)
        manifest = parse(zip, MANIFEST, 1024 * 1024)
        newer(manifest)
        @sums, @holds = manifest["sha256"], manifest.fetch("holds", "class")
        there = zip.entries.map(&:name) - [MANIFEST]
        refuse(NOT_OURS) unless @sums.is_a?(Hash) && there.sort == @sums.keys.sort && Holding::IDS.include?(@holds)
      end

      # The photos.
      def files = @sums.keys - [CLASS]

      # However large an entry says it is; one that says that it is too large is not opened.
      def bytes(zip, name, most)
        entry = zip.find_entry(name) || refuse(NOT_OURS)
        read = entry.get_input_stream { |stream| stream.read(most + 1) }.to_s if entry.size <= most
        refuse("#{name} in that file is larger than it may be") if read.nil? || read.bytesize > most
        refuse("#{name} in that file is not what was put in") if @sums && @sums[name] != Digest::SHA256.hexdigest(read)
        refuse("#{name} in that file is no photo") if name.end_with?(".jpg") && !read.b.start_with?(JPEG)
        read
      end

      def parse(zip, name, most) = parsed(bytes(zip, name, most), "#{name} in that file")

      def check
        super
        refuse(NOT_OURS) unless document["photos"].map { |row| row["file"] }.sort == files.sort
      end
    end
  end
end
