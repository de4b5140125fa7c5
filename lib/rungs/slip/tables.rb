# frozen_string_literal: true

module Rungs
  class Slip
    # The five tables of field guide 6: which one a problem looks into, and their entries.
    module Tables
      NAMES = %w[whole part missing two_sided teens].freeze

      NAMES.each { |name| autoload name.upcase, File.join(LIBRARY, "rungs/slip/tables/#{name}.rb") }

      module_function

      KINDS = { none: [].freeze, teens: %w[teens].freeze, two_sided: %w[two_sided].freeze, whole: %w[whole].freeze, missing: %w[missing].freeze, part: %w[part].freeze,
                missing_teens: %w[missing teens].freeze, part_teens: %w[part teens].freeze }.freeze

      # @return [Array<String>]
      def of(problem)
        return KINDS[problem.band == "teens" ? :teens : :none] if problem.many_answers?
        return KINDS[:two_sided] if problem.two_sided?
        return KINDS[:whole] if problem.add?
        return KINDS[problem.missing_part? ? :missing_teens : :part_teens] if problem.band == "teens"

        KINDS[problem.missing_part? ? :missing : :part]
      end

      def entries = NAMES.flat_map { |name| const_get(name.upcase).map { |entry| { table: name, **entry } } }

      COUNTING = %w[count_all count_on].freeze
      # Slips of counting on need something to count on.
      COUNTED = ->(problem) { problem.parts.size == 3 || problem.affords_counting_on? }
    end
  end
end
