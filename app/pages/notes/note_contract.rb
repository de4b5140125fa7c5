# frozen_string_literal: true

module Pages
  module Notes
    # The parts of a note, as written.
    class NoteContract < Shared::Contract
      params { Rungs::Progress::FamilyNote::PARTS.each { |part| optional(part).value(:string, max_size?: 600) } }
    end
  end
end
