# frozen_string_literal: true

module Pages
  module Lessons
    # Where the lesson goes.
    class GoContract < Shared::Contract
      params { required(:to).filled(:string, format?: /\A(start|on|back|skip|stop|finish|\d{1,18})\z/) }
    end
  end
end
