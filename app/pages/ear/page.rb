# frozen_string_literal: true

module Pages
  module Ear
    # Where practice begins, with one's own table of what is taken for what.
    class Page < Shared::Page
      view :"ear/ear", title: "Your ear"

      def margin = nil
      # No class is asked for: what may be done there is nobody's.
      def may?(_act) = false
      def ear = @ear ||= Records::Ear.new(person)
      def table = @table ||= ear.confusions
      def rungs = Rungs::Strategy::Rung::ALL.to_a
      def alike = ear.pairs.count { |was, heard| was == heard }

      # How alike that is, from twenty clips on.
      def agreed
        pairs = ear.pairs.map { |was, heard| Rungs::Clip::Agreement::Pair.new(item: was, a: was, b: heard) }
        with = Rungs::Clip::Agreement.new(pairs)
        return unless with.kappa

        low, high = with.kappa_interval
        format("Kappa %<kappa>.2f (%<low>.2f to %<high>.2f).", kappa: with.kappa, low: low, high: high)
      end

      # "part–whole taken for make ten, 3 times", the commonest first
      def mixed_up
        pairs = rungs.each_index.to_a.permutation(2).select { |was, heard| table.counts[was][heard].positive? }
        pairs.sort_by { |was, heard| -table.counts[was][heard] }.first(4).map do |was, heard|
          times = table.counts[was][heard]
          one, other = [was, heard].map { |rung| rungs[rung].title.downcase }
          "#{one} taken for #{other}, #{times == 1 ? 'once' : "#{times} times"}"
        end
      end
    end
  end
end
