# frozen_string_literal: true

# What the command line needs: the core and a few rooms of the application, without a bundle or a database.
require_relative "../lib/rungs"
%w[drawings/svg drawings/thing drawings/shapes/counting drawings/shapes/lines drawings/shapes/material drawings/shapes
   drawings/picture exchange/record_line exchange/record_rows terminal/core_commands terminal/activity_commands
   terminal/class_commands terminal/week_commands terminal/clip_commands
   terminal/sheet_commands terminal/main].each do |file|
  require_relative "../app/#{file}"
end
