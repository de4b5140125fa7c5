# frozen_string_literal: true

module Pages
  module Account
    # A class: who is in it, and how it does things.
    class ClassPage < Shared::Page
      view :"account/classroom"

      def title = room.name
      def margin = nil
      def off_the_list = room.off_the_list

      # What can be set here, by its heading: what means nothing to this class yet is left out.
      # @return [Array<Array(String, Array<Rungs::Planning::Setting>)>]
      def settings
        usable = Rungs::Planning::Setting::ALL.select { |setting| setting.needs.nil? || has?(setting.needs) }
        usable.group_by(&:group).values_at(*GROUPS.keys).zip(GROUPS.values).map(&:reverse)
      end

      GROUPS = Rungs::Planning::Setting::GROUPS
      private_constant :GROUPS

      def has?(what)
        case what
        when :children then room.children.any?
        when :assistants then Records::Membership.of(room).any? { |each| Records::Policy.set_by_class?(each.role) }
        else Records::Own.of(room, "thing", "place", "person").any?
        end
      end

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
