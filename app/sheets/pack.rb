# frozen_string_literal: true

require "open3"
require "tmpdir"

module Sheets
  # Several sheets as one file, to be printed by one press.
  module Pack
    # What it may hold, in the order it is offered; what is ticked at first.
    KINDS = { "recording" => "to fill in", "practice" => "practice", "cutouts" => "to cut", "clipboard" => "clipboard",
              "lesson" => "the lesson on a page" }.freeze
    USUAL = %w[cutouts clipboard lesson].freeze

    module_function

    # @param pdfs [Array<String>] one or more
    # @return [String] PDF
    # @raise [Rungs::Error::NotAProblem]
    def join(pdfs)
      return pdfs.first if pdfs.size == 1

      Dir.mktmpdir do |folder|
        files = pdfs.each_with_index.map do |pdf, index|
          File.join(folder, "#{index}.pdf").tap do |file|
            File.binwrite(file, pdf)
          end
        end
        made = File.join(folder, "all.pdf")
        _, status = Open3.capture2e("pdfunite", *files, made)
        unless status.success?
          raise Rungs::Error::NotAProblem,
                "these sheets cannot be put into one file; print them one by one"
        end

        File.binread(made)
      end
    end
  end
end
