# frozen_string_literal: true

require "open3"
require "tmpdir"

module Sheets
  # Several sheets as one file, to be printed by one press. A page that comes often is in it once.
  module Pack
    # The shelves it may hold, in the order it is offered; what is ticked at first.
    KINDS = { "recording" => "to fill in", "practice" => "practice", "cutouts" => "to cut", "clipboard" => "clipboard",
              "lesson" => "the lesson on a page" }.freeze
    USUAL = %w[cutouts clipboard lesson].freeze

    # Whom the sheets of a shelf are for.
    # @return [Symbol]
    def self.for_whom(shelf) = ALL.find { |sheet| sheet.shelf == shelf }.for_whom

    module_function

    # @param sheets [Array<Array(String, Integer)>] PDF, and how often
    # @return [String] PDF
    # @raise [Rungs::Error::NotAProblem]
    def join(sheets)
      Dir.mktmpdir do |folder|
        pages = sheets.each_with_index.flat_map do |(pdf, copies), index|
          file = File.join(folder, "#{index}.pdf")
          File.binwrite(file, pdf)
          [file] * copies
        end
        joined(pages, File.join(folder, "all.pdf"))
      end
    end

    def joined(files, all)
      _, status = Open3.capture2e("qpdf", "--empty", "--pages", *files, "--", all)
      return File.binread(all) if status.success?

      raise Rungs::Error::NotAProblem, "these sheets cannot be put into one file; print them one by one"
    end
    private_class_method :joined
  end
end
