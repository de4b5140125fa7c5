# frozen_string_literal: true

module Records
  # One answer that two people took down within ten minutes: the teacher's counts, else the first; the other stands
  # beside it (guide 17).
  class HeardByTwo
    # Who said what: name, title of the rung.
    Said = Struct.new(:name, :title, keyword_init: true)

    # @param classroom [Classroom]
    # @param made [Observation] just now
    def initialize(classroom, made)
      @classroom = classroom
      @made = made
    end

    # @param recorder [Recorder]
    # @return [Observation] the one just made, as it stands then
    def record_agreement(recorder)
      return @made unless @made.by_another? && other

      if teacher?(@made) && !teacher?(other)
        recorder.stand(other, beside: @made.first_key)
        @made
      else
        recorder.stand(@made, beside: other.first_key)
      end
    end

    # @param rows [Array<Observation>] that count
    # @return [Hash{String => String}] by first key, "heard by two: both count on", or who said what
    def self.words(classroom, rows)
      beside = classroom.observations_dataset.counterparts_of(rows.map(&:first_key)).all.group_by(&:beside)
      names = Account.where(id: [*rows, *beside.values.flatten].filter_map(&:account_id)).select_hash(:id, :name)
      rows.filter_map do |row|
        others = beside[row.first_key] or next
        said = [row, *others].map { |each| Said.new(name: names[each.account_id], title: each.title.downcase) }
        [row.first_key, words_of(said)]
      end.to_h
    end

    def self.words_of(said)
      titles = said.map(&:title).uniq
      return "heard by two: both #{titles.first}" if titles.one?

      said.map { |each| "#{each.name || 'a substitute'}: #{each.title}" }.join(", ")
    end
    private_class_method :words_of

    private

    # The record of somebody else that counts now.
    def other
      @other ||= begin
        near = (@made.happened_at - Observation::TWICE)..(@made.happened_at + Observation::TWICE)
        same = @classroom.observations_dataset.standing.where(@made.values.slice(:child_id, :problem_id))
        same.where(happened_at: near).exclude(first_key: @made.first_key)
            .where(Sequel.lit("account_id IS DISTINCT FROM ?", @made.account_id)).in_order.first
      end
    end

    def teacher?(row) = row.account_id && Policy.may?(Membership.role(row.account_id, @classroom.id), :teach)
  end
end
