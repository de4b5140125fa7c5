# frozen_string_literal: true

module Rungs
  module Own
    # What all that a teacher writes shares: fields with their longest text, read one by one, the faults gathered.
    #
    #   class Place < Written.of(:name)
    #     writes "place", "A place"
    #     def self.checked(typed) = { name: typed.text("name", "the place", most: 40) }
    #   end
    module Written
      # What its class says of itself.
      module Reading
        attr_reader :id, :title

        def writes(id, title)
          @id = id
          @title = title
        end

        # @param fields [Hash{String => Object}] as typed
        # @raise [Error::Unreadable] with everything that is wrong
        def read(fields)
          typed = Typed.new(fields)
          made = checked(typed)
          raise Error::Unreadable, typed.faults.join("; ") if typed.faults.any?

          new(**made).freeze
        end

        # The same as it was kept.
        def of(kept) = new(**kept.to_h.transform_keys(&:to_sym).slice(*members)).freeze
      end

      # @return [Class] a Struct with these fields
      def self.of(*fields) = Struct.new(*fields, keyword_init: true) { extend Reading }

      # What was typed, and what of it cannot be.
      class Typed
        attr_reader :faults

        def initialize(fields)
          @fields = fields
          @faults = []
        end

        # One line of text: no breaks, no marks that turn or hide what follows.
        # @param most [Integer] letters
        # @return [String, nil] nil where it is empty and need not be there
        def text(name, called, most:, needed: true)
          said = line(@fields[name])
          fault("#{called} is empty") if said.empty? && needed
          fault("#{called} has #{said.size} letters; #{most} are the most") if said.size > most
          said unless said.empty?
        end

        # What stands within a story: nothing that its words have a use for.
        def word(name, called, most:)
          said = text(name, called, most: most)
          fault("#{called} cannot hold “#{said[HOLES]}”") if said&.match?(HOLES)
          said
        end

        # @return [Array<String>] lines that are not empty
        def lines(name, called, most:, letters:)
          given = @fields[name]
          all = (given.is_a?(Array) ? given : given.to_s.split(/\R/)).map { |each| line(each) }.reject(&:empty?)
          fault("#{called} has #{all.size} lines; #{most} are the most") if all.size > most
          long = all.find { |each| each.size > letters }
          fault("a line of #{called} has #{long.size} letters; #{letters} are the most") if long
          all
        end

        # @return [Integer, nil]
        def number(name, called, among)
          number = Integer(@fields[name].to_s.strip, 10, exception: false)
          return number if number && among.cover?(number)

          fault("#{called} is a number from #{among.min} to #{among.max}")
          nil
        end

        def choice(name, called, among)
          given = @fields[name].to_s
          return given if among.include?(given)

          fault("there is no #{called} “#{line(given)[0, 40]}”")
        end

        def fault(words)
          @faults << words
          nil
        end

        private

        # Marks of direction and other marks that are not seen.
        UNSEEN = /[\p{Cc}\u200B\u200E\u200F\u202A-\u202E\u2066-\u2069\uFEFF]/
        # Marks of the holes in a story's words, and what stands in one without a thing.
        HOLES = /[{}|:@]|\Amore\z/
        private_constant :UNSEEN, :HOLES

        def line(given) = given.to_s.gsub(/\s+/, " ").gsub(UNSEEN, "").strip
      end
    end
  end
end
