# frozen_string_literal: true

module Records
  # Today's list of a lesson, shared out among those who listen in it: who they are, and which names were given from one
  # to another by hand.
  class SharedList
    # Days of which it is counted who heard whom.
    DAYS = 60

    # @param lesson [Lesson]
    def initialize(lesson)
      @lesson = lesson
    end

    # @return [Array<Integer>] accounts, in the order in which they came
    def people = stored["people"].to_a
    def shared? = people.size > 1

    # Somebody listens too.
    # @param account_ids [Array<Integer>]
    def join(*account_ids)
      merge("people" => people | account_ids) if (account_ids - people).any?
    end

    # @param children [Array<Child>] in turn
    # @return [Hash{Integer => Integer}] by child, whose it is; none where one listens alone
    def shares(children)
      return {} unless shared?

      ids = children.map(&:id)
      given = stored["given"].to_h.transform_keys(&:to_i).slice(*ids)
      Rungs::Progress::Listening.shared(ids, heard).merge(given)
    end

    # By a tap: the next one's.
    def give(child, children)
      now = shares(children)[child.id] or return
      to = people[(people.index(now).to_i + 1) % people.size]
      merge("given" => stored["given"].to_h.merge(child.id.to_s => to))
    end

    private

    def stored = @lesson.shared_out.to_h

    def merge(more)
      @lesson.update(shared_out: Sequel.pg_jsonb(stored.merge(more)))
      DB.notify(Observation::CHANNEL, payload: { lesson: @lesson.id }.to_json)
    end

    # @return [Hash{Integer => Hash{Integer => Integer}}] by account, how often each child was heard
    def heard
      since = Time.now - (DAYS * 86_400)
      rows = Observation.where(classroom_id: @lesson.classroom_id, replaces_id: nil, account_id: people)
                        .where { happened_at > since }
      counts = rows.group_and_count(:account_id, :child_id).naked.all.group_by { |row| row[:account_id] }
      people.to_h { |id| [id, counts.fetch(id, []).to_h { |row| row.values_at(:child_id, :count) }] }
    end
  end
end
