# frozen_string_literal: true

module Rungs
  # Where every dot, bead, cell and jump goes: pictures laid out as numbers, with no drawing (field guide 7). Each kind
  # is one class in the catalogue KINDS and answers:
  #
  #   Kind.of(problem, **settings)   # => the picture that shows a problem, nil where it cannot
  #   picture.layout                 # => Layout
  #   picture.ways                   # => the ways of seeing it, Array<Way>
  #   Kind.act(path, problem)        # => the steps of a move on it, Array<Layout>; [] where that makes no sense
  module Picture
    Rungs.shelve self

    def self.kinds = KINDS

    KINDS = Catalogue.new("picture", %i[Frame Rack Line Parts Dots Towers Fingers Scale Bundles Objects Bars].map { |name| const_get(name) })
  end
end
