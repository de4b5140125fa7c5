# frozen_string_literal: true

module Pages
  module Account
    # A class: who is in it, and how it does things.
    class ClassPage < Shared::Page
      view :"account/classroom"

      def title = room.name
      def margin = nil
      def off_the_list = room.off_the_list

      # By continent, each by its city.
      # @return [Hash{String => Array<Array(String, String)>}]
      def zones
        known = TZInfo::Timezone.all_identifiers.select { |zone| zone.include?("/") && !zone.start_with?("Etc/") }
        cities = known.map { |zone| [zone, zone.split("/", 2).last.tr("_", " ").sub("/", ", ")] }
        { **cities.group_by { |zone, _| zone[%r{\A[^/]+}] }, "All" => [%w[Etc/UTC UTC]] }
      end
    end
  end
end
