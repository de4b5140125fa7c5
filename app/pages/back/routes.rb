# frozen_string_literal: true

module Pages
  module Back
    # Looking back on a lesson, a week or a term, on one page.
    class Routes < Shared::Tab
      needs :ladders
      reads_beside

      get("/:room") { show Page.new(visitor, **checked(BackContract)) }
    end
  end
end
