# frozen_string_literal: true

module Records
  # Where a child was when handed over without the records, in the words of that class. It is shown, and weighs nothing.
  class CameWith < Sequel::Model(:came_with)
    many_to_one :child, class: "Records::Child"

    # By which rule it is told now.
    RULE = 2

    # @return [Array<Hash>] where some children are now
    def self.rows(room, children)
      evidence = Evidence.new(room)
      children.product(Rungs::Problem::OPERATIONS, Rungs::Problem::Band::ALL.ids).filter_map do |child, operation, band|
        estimate = evidence.estimate(child, operation, band, on: room.today)
        next unless estimate.working

        { child_id: child.id, operation: operation, band: band, rung: estimate.working, day: room.today,
          sure: estimate.words.sureness, records: estimate.heard.size, rule: RULE,
          facts_heard: estimate.knowing.heard, facts_known: estimate.knowing.known }
      end
    end

    # "to 10: count on, fairly clear, 12 answers; 3 of 7 facts known"
    def summary
      rung = Rungs::Strategy::Rung.at(self.rung).title.downcase
      "#{Rungs::Problem::Band::ALL.fetch(band).title}: #{rung}, #{sure}, #{records} answers#{facts_in_words}"
    end

    private

    def facts_in_words
      return ", told by an earlier rule" if rule.nil?

      facts_heard.to_i.positive? ? "; #{facts_known} of #{facts_heard} facts known" : ""
    end
  end
end
