# frozen_string_literal: true

module Sheets
  # All sheets, on shelves.
  class Shelves < Rungs::Catalogue
    # Their headings in the list; sheets that lie on none stand by themselves.
    HEADINGS = { "practice" => "Practice", "recording" => "To fill in", "cutouts" => "To cut" }.freeze

    # @return [Array<Class>]
    def on(shelf) = select { |sheet| sheet.shelf == shelf }
  end
end
