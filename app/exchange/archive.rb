# frozen_string_literal: true

module Exchange
  # A class in one file: a ZIP of class.json by the schema in docs/schema, its photos, and a manifest with their sums.
  # Numbers in it count from 1 in each list, so that a class read back, written again, is the same.
  #
  #   Archive.write(room, to: path)  { |done, total| … }
  #   Archive.read(file)           # => Archive::Reader, which shows what it would bring before it does
  module Archive
    FORMAT = "rungs-class"
    VERSION = 4
    CLASS = "class.json"
    MANIFEST = "manifest.json"
    # What a file may hold: bytes unpacked in all, of class.json, of one photo, and how many things.
    MOST_JSON = 64 * (1024**2)
    MOST_PHOTO = 20 * (1024**2)
    MOST_THINGS = 20_000
    MOST = Settings::LARGEST_FILE + MOST_JSON
    # Lists and things in a class.json: three times what a class of a full year has.
    MOST_VALUES = 1_000_000

    # What it holds, in words: one, many.
    WORDS = { children: %w[child children], lessons: %w[lesson lessons], observations: %w[answer answers],
              photos: %w[photo photos] }.freeze

    # A file that cannot be read, in a sentence.
    class Refused < Rungs::Error; end

    module_function

    # @param room [Records::Classroom]
    # @param to [String] the path of the file, which is written as it is made
    # @param holding [Holding] what of it
    # @yield [Integer, Integer] how many photos are in, of how many
    def write(room, to:, holding: Holding.whole, now: Time.now, &block)
      Writer.new(Content.new(room, holding)).zip(to, now: now, &block)
    end

    # @param file [String] its path: a ZIP, or what is kept of one child as JSON
    # @return [Reader]
    # @raise [Refused]
    def read(file) = (File.binread(file, 2) == "PK" ? Zipped : Plain).new(file)

    # @return [String] where a photo lies
    def photo(number) = format("photos/%06d.jpg", number)

    # @param holding [Holding] what of a class, without photos
    # @return [Hash] by the same schema
    def of(room, holding) = Content.new(room, holding).to_h

    # @return [Hash] all that is kept of one child
    def of_child(child) = of(child.classroom, Holding.child(child))
  end
end
