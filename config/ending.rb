# frozen_string_literal: true

# What is done before a server process ends, by whoever has something to end.
module Ending
  HOOKS = [] # rubocop:disable Style/MutableConstant

  module_function

  def at(&hook) = HOOKS << hook
  def now = HOOKS.each(&:call)
end
