# frozen_string_literal: true

module Pages
  module Notes
    # The parts of a note, as written.
    class NoteContract < Shared::Contract
      params do
        Rungs::Progress::NoteDraft::PARTS.each { |part| optional(part).value(:string, max_size?: 600) }
        optional(:print).filled(:string, included_in?: ::Sheets::Paper::SIZES.keys)
      end
    end
  end
end
