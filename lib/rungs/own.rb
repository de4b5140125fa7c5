# frozen_string_literal: true

module Rungs
  # What teachers write themselves (guide 18): parts of a lesson, words for stories, questions to ask. Each is a value,
  # read from what was typed and refused with all that is wrong in one message. Text is text: nothing in it is run.
  #
  #   Own.read("thing", "one" => "pebble", "many" => "pebbles", "most" => "20").json_fields
  module Own
    Rungs.shelve self

    ALL = Catalogue.new("kind of one's own", [Part, Thing, Place, Person, Question])

    # How many of one kind a class keeps.
    MOST = 200

    # @param kind [String] an id of ALL
    # @param typed [Hash{String => Object}] its fields
    # @return [Part, Thing, Place, Person, Question]
    # @raise [Error::Unreadable] saying all that is wrong
    def self.read(kind, typed) = ALL.fetch(kind).read(typed.transform_keys(&:to_s))
  end
end
