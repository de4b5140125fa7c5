# frozen_string_literal: true

module Pages
  module Listen
    # What can be said of an answer. Everything but the child, the problem and the code can come later.
    module Details
      CODES = (Rungs::Strategy::Rung::ALL.ids + Rungs::Strategy::OffLadder::ALL.ids).freeze
      HELP = Rungs::Progress::Rule::DEFAULT.help.keys.freeze
      LONGEST = 600
      USED = %w[objects fingers drawing frame rack line nothing].freeze
    end
  end
end
