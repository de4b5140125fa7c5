# frozen_string_literal: true

module Sheets
  # What a child writes on: with a name line, in two sizes.
  class ForChild < Sheet
    entry for_whom: :child
    choice "name", YES_NO, label: "name line", usual: true
    choice "large", YES_NO, label: "size", names: { false => "18", true => "24" }
  end
end
