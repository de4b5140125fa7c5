# frozen_string_literal: true

module Pages
  module Shared
    # A tab of one class: nothing in it is looked at before the class is found.
    class Tab < Base
      before("/:room/?*") { room }
    end
  end
end
