# frozen_string_literal: true

require "digest"
require "zip"

module Exchange
  module Archive
    # A class's file as somebody sent it: opened, looked at, held against its sums and its schema before anything is
    # written.
    class Reader
      ENTRY = %r{\A(#{Regexp.escape(CLASS)}|#{Regexp.escape(MANIFEST)}|photos/\d{6}\.jpg)\z}
      NOT_OURS = "That is no file of a class that Rungs wrote"
      # The first bytes of a JPEG.
      JPEG = "\xFF\xD8\xFF".b

      # @param path [String]
      # @raise [Refused]
      def initialize(path)
        @path = path
        open_zip do |zip|
          look_at(zip)
          manifest = parse(zip, MANIFEST, 1024 * 1024)
          newer(manifest)
          @sums = manifest["sha256"]
          refuse(NOT_OURS) unless @sums.is_a?(Hash) && (zip.entries.map(&:name) - [MANIFEST]).sort == @sums.keys.sort
          @document = parse(zip, CLASS, MOST_JSON)
          (@sums.keys - [CLASS]).each { |name| bytes(zip, name, MOST_PHOTO) }
        end
        check
      end

      # @return [Hash] the whole of class.json
      attr_reader :document

      def name = document["class"]["name"]
      def school = document["class"]["school"]
      def key = document["class"]["key"]

      # What it would bring.
      # @return [Hash{Symbol => Integer}]
      def amounts
        %i[children lessons observations photos].to_h { |list| [list, document[list.to_s].size] }
      end

      # Makes the class, for its new teacher, and all of it or nothing.
      # @param account [Records::Account]
      # @return [Records::Classroom]
      # @raise [Refused]
      def bring(account)
        open_zip { |zip| Bringing.new(document, account) { |file| bytes(zip, file, MOST_PHOTO) }.call }
      rescue Sequel::ConstraintViolation, KeyError
        refuse("What stands in that file does not fit together; nothing was brought in")
      end

      private

      def refuse(words) = raise(Refused, words)

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

      # However large an entry says it is.
      def bytes(zip, name, most)
        entry = zip.find_entry(name) || refuse(NOT_OURS)
        read = entry.get_input_stream { |stream| stream.read(most + 1) }.to_s
        refuse("#{name} in that file is larger than it may be") if read.bytesize > most
        refuse("#{name} in that file is not what was put in") if @sums && @sums[name] != Digest::SHA256.hexdigest(read)
        refuse("#{name} in that file is no photo") if name.end_with?(".jpg") && !read.b.start_with?(JPEG)
        read
      end

      def parse(zip, name, most)
        JSON.parse(bytes(zip, name, most), max_nesting: 20)
      rescue JSON::ParserError
        refuse("#{name} in that file cannot be read")
      end

      def newer(manifest)
        unless manifest.is_a?(Hash) && manifest["format"] == FORMAT && manifest["version"].is_a?(Integer)
          refuse(NOT_OURS)
        end
        return unless manifest["version"] > VERSION

        refuse("That file was written by a newer Rungs; update this one first")
      end

      def check
        fault = Schema.fault(document)
        refuse("In that file #{fault}") if fault
        document["problems"].each { |row| Rungs::Problem::Equation.parse(row["equation"]) }
        document["lesson_parts"].each { |row| try_part(row) }
        TZInfo::Timezone.get(document["class"]["time_zone"])
        files = document["photos"].map { |row| row["file"] }
        refuse(NOT_OURS) unless files.sort == (@sums.keys - [CLASS]).sort
      rescue KeyError, Rungs::Error::NotAProblem, Rungs::Error::Unreadable, Rungs::Error::Unknown,
             TZInfo::InvalidTimezoneIdentifier => e
        refuse("In that file something cannot be: #{e.message}")
      end

      # Whether its items can be told: whatever else is in it, a page would fail on it.
      def try_part(row)
        details = Records::Details.of(row["details"])
        kind = Rungs::Activity::ALL.fetch(row["kind"]).with(details.options)
        details.thrown.each_value { |data| kind.item(data).steps }
      rescue NoMethodError, TypeError, ArgumentError, RangeError
        refuse("In that file a part of a lesson holds what its activity cannot tell")
      end
    end
  end
end
