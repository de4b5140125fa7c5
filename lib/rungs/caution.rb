# frozen_string_literal: true

module Rungs
  # A short, calm caution, shown where the thing is used (guide 13).
  Caution = Struct.new(:id, :words, keyword_init: true) do
    # @param ids [Array<String>]
    # @raise [Error::Unknown]
    def self.for(*ids) = ids.map { |id| self::ALL.fetch(id) }
  end

  Caution::ALL = Catalogue.new("caution", [
    ["small_things",
     "Counters, beads, dried beans and the like are small: keep them from under-threes and from children who put " \
     "things in their mouths, and follow your school’s rule."],
    ["food", "Food as counters: check allergies first."],
    ["sharp_things", "Scissors and staplers: an adult’s hands, or an adult beside."],
    ["flashing",
     "Never faster than one picture a second. Leave quick looks out for a child with photosensitive seizures."],
    ["jumping", "Jumping games: a clear floor, and one jumper at a time."],
    ["outdoors", "Collecting outdoors: your school’s rules on plants and stones, and hands washed afterwards."],
    ["not_a_grade",
     "A rung describes an answer, not a child. A worry about a child’s development goes to your school’s " \
     "specialists."],
    ["photos",
     "The drawing, not the child; with consent, by your school’s rules and the law. Where it was taken is " \
     "removed, and deleting works."]
  ].map { |id, words| Caution.new(id: id, words: words).freeze })
end
