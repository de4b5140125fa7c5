# frozen_string_literal: true

require "yaml"
require_relative "../own_place"
require_relative "plan"

# The files of a district of one’s own, from a plan like plan.example.yml: each in the folder it has on its machine,
# below the one that is named, with passwords made once.
module OwnDistrict
  extend OwnPlace

  def self.write(file, below)
    @folder = File.join(below, "passwords")
    FileUtils.mkdir_p(@folder, mode: 0o700)
    said = YAML.safe_load_file(file).transform_keys(&:to_sym)
    plan = DistrictPlan.new(said.delete(:where), secret: method(:secret), **said)
    plan.write(below) { |part| puts "#{part.name} on #{part.host}: #{part.folder}" }
    puts "They are below #{below}. With them belong a certificate of #{plan.people} (certificate.pem beside",
         "haproxy.cfg) and, on every server, what is in #{plan.secrets}. docs/district.md tells the rest."
  end
end
