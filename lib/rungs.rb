# frozen_string_literal: true

require "set"
require "date"

# The rules of the job: problems, strategies, slips, pictures, progress. Plain Ruby values in, plain Ruby
# values out. It knows no clock (today is an argument), no random source of its own (a Random is an
# argument), no database and no interface. Each file holds one constant, read when first named.
module Rungs
  LIBRARY = __dir__

  # Finds the constants under +scope+ in the folder of the same name: Rungs::Problem::Band is in
  # rungs/problem/band.rb. A new file needs no further word.
  def self.shelve(scope)
    Dir[File.join(LIBRARY, underscore(scope.name), "*.rb")].each do |file|
      scope.autoload(File.basename(file, ".rb").split("_").map(&:capitalize).join, file)
    end
  end

  def self.underscore(name)
    name.gsub("::", "/").gsub(/(?<=[a-z0-9])(?=[A-Z])|(?<=[A-Z])(?=[A-Z][a-z])/, "_").downcase
  end

  # A sentence's beginning with a capital; nothing else of it changes.
  def self.capital(text) = text.sub(/\A./, &:upcase)

  shelve self
end
