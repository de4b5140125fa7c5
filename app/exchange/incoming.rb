# frozen_string_literal: true

module Exchange
  # A file that somebody sent, before it is brought in: what it would bring, and then bringing it. Its kinds say which
  # files are theirs, what a page shows of them, and what they write.
  #
  #   Incoming.of(path, room, person).bring(form) => Incoming::Done
  module Incoming
    # In words, what was brought (note), and whose page comes next (room).
    Done = Struct.new(:note, :room, keyword_init: true)

    module_function

    # @param path [String]
    # @param room [Records::Classroom] into which it may come
    # @param person [Records::Account]
    # @param form [Hash{String => Object}] what was chosen on the page that shows it
    # @return [Kind]
    # @raise [Rungs::Error]
    def of(path, room, person, form = {})
      archive = Archive.read(path) if File.binread(path, 4096).to_s.match?(/\APK|\A\s*\{/n)
      kind = archive ? FILES.fetch(archive.holds) : Answers
      kind.new(archive || path, room, person, form)
    end

    # What its kinds share.
    class Kind
      # @return [String] of the page's part that shows it
      def self.view = name[/\w+\z/].gsub(/(?<=[a-z])(?=[A-Z])/, "_").downcase

      def initialize(source, room, person, form)
        @source = source
        @room = room
        @person = person
        @form = form
      end

      attr_reader :room

      # What a page shows of it before it is brought in.
      # @return [Hash{Symbol => Object}] as JSON can have it
      def shows = raise(NotImplementedError)

      private

      # Whose it is, in words.
      def named = @source.named

      # @yield [Integer] under which it can be taken back → how much came
      def brought(kind, name, &) = Records::Brought.whole(room, @person, kind, name, &)
      def done(words) = Done.new(note: "#{words} For thirty days it can be taken back.", room: room)
      def refuse(words) = raise(Archive::Refused, words)
    end

    FILES = { "class" => WholeClass, "child" => Children, "children" => Children, "plans" => Plans,
              "own" => Own }.freeze
  end
end
