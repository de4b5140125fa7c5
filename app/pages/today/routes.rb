# frozen_string_literal: true

module Pages
  module Today
    # What is on for this class, and whom to listen to.
    class Routes < Shared::Tab
      needs :conduct, see: :see_plan

      get("/:room") { show Page.new(visitor) }
    end
  end
end
