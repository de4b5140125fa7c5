# frozen_string_literal: true

module Pages
  module Search
    # What one field finds: children, problems that were posed, a day.
    class Routes < Shared::Tab
      needs :see_plan

      get("/:room") { show Page.new(visitor, **checked(SearchContract)) }
    end
  end
end
