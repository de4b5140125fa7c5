# frozen_string_literal: true

# The rules of the job: problems, strategies, slips, pictures, progress. Plain Ruby values in, plain Ruby
# values out. It knows no clock (today is an argument), no random source of its own (a Random is an
# argument), no database and no interface. Each file holds one constant, read when first named.
module Rungs
  LIBRARY = __dir__

  # Declares that +names+ under +scope+ live in the folder of the same name: Rungs::Problem::Band is in
  # rungs/problem/band.rb.
  def self.shelve(scope, *names)
    folder = underscore(scope.name)
    names.each { |name| scope.autoload(name, File.join(LIBRARY, folder, "#{underscore(name.to_s)}.rb")) }
  end

  def self.underscore(name)
    name.gsub("::", "/").gsub(/([a-z0-9])([A-Z])/, '\1_\2').downcase
  end

  shelve self, :Activity, :Catalogue, :Error, :NumberWords, :Picture, :Planning, :Problem, :Progress, :Slip, :Strategy
end
