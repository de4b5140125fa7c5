# frozen_string_literal: true

module Rungs
  # Where every dot, bead, cell and jump goes: pictures laid out as numbers, with no drawing (guide 7). Each kind
  # is one class in the catalogue KINDS and answers:
  #
  #   Kind.of(problem, **settings)   # => the picture that shows a problem, nil where it cannot
  #   picture.layout                 # => Layout
  #   picture.ways                   # => the ways of seeing it, Array<Way>
  #   Kind.act(path, problem)        # => the steps of a move on it, Array<Layout>; [] where that makes no sense
  module Picture
    Rungs.shelve self

    # What each number of a problem is called where one is hidden: 0 the whole, 1 and on a part; of both parts, the
    # first.
    UNKNOWN = { whole: 0, first: 1, second: 2, both: 1 }.freeze

    # In the order in which they are offered.
    KINDS = Catalogue.new("picture", [Objects, Frame, Rack, Line, Parts, Bars, Fingers, Towers, Bundles, Dots, Scale])

    def self.kinds = KINDS
  end
end
