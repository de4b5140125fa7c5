# frozen_string_literal: true

module Records
  # Writes observations for one class. Every call carries a key made by the client, so that the same tap sent twice
  # is kept once; nothing is ever changed in place.
  class Recorder
    include SetAside

    KEPT = (Observation::ADDED - %i[replaces_id client_key account_id substitute recorded_at
                                    carried]).freeze

    # What comes after the class has ended.
    class Closed < Rungs::Error; end

    # A record of which nothing more is known.
    NEW = {
      **Observation::ADDED.to_h { |column| [column, nil] },
      right: true, used: Sequel.pg_array([], :text), help: "alone", undone: false, heard: Sequel.pg_array([], :integer)
    }.freeze

    # @param classroom [Classroom]
    # @param account [Account, Integer, nil] who is recording, or the id
    # @param substitute [Boolean] whether it is somebody without an account who takes the class for a day
    # @param role [String] as what, of Policy::ROLES: who is no teacher changes only what is their own
    # @param visit [Visit, nil] in which a coach listens
    # @param carry [Boolean] whether each record is carried into the estimates; false where they are made from all at
    #   the end
    def initialize(classroom, account, substitute: false, role: "teacher", visit: nil, carry: true)
      @classroom = classroom
      @role = role
      @visit = visit
      @substitute = substitute
      @account_id = account.is_a?(Account) ? account.id : account
      @carry = carry
    end

    # @param child [Child]
    # @param problem [PosedProblem]
    # @param code [String] a rung's id or an off-ladder code
    # @param client_key [String] a UUID
    # @param happened_at [Time]
    # @param details [Hash] move, answer, used, help, heard, seconds
    # @return [Observation] the one that stands, new or already there
    # @raise [Closed]
    def record(child:, problem:, code:, client_key:, happened_at:, **details)
      raise Closed, "this class has ended: nothing is recorded any more" if over?(happened_at)

      row = { classroom_id: @classroom.id, child_id: child.id, problem_id: problem.id, code: code, visit_id: @visit&.id,
              rung: Rungs::Strategy::Rung::ALL[code]&.level, happened_at: happened_at, **judged(details, problem) }
      added = DB.transaction do
        made = add(row, client_key, problem)
        made && HeardByTwo.new(@classroom, made).record_agreement(self)
      end
      (added || standing(client_key)).read_with(child: child)
    end

    # @param first_key [String] the observation, whichever version
    # @param changes [Hash] code, move, answer, right, used, help
    # @return [Observation] the new version
    # @raise [Gone]
    def correct(first_key, client_key:, **changes)
      replace(first_key, client_key) do |current|
        if changes.key?(:code)
          changes = { rung: Rungs::Strategy::Rung::ALL[changes[:code]]&.level,
                      move: nil }.merge(changes)
        end
        judged(changes, current.posed_problem)
      end
    end

    # Takes it out of every count; the earlier versions are kept.
    # What somebody else heard of the same answer counts from then on.
    # @raise [Gone]
    def undo(first_key, client_key:)
      undone = replace(first_key, client_key) { { undone: true } }
      other = @classroom.observations_dataset.counterparts_of(first_key).in_order.first
      stand(other, beside: nil) if other
      undone
    end

    # A version of what somebody took down that stands beside another record, or counts again.
    # @param observation [Observation]
    # @param beside [String, nil] the first key of the one that counts
    # @return [Observation]
    def stand(observation, beside:)
      by = { account_id: observation.account_id, substitute: observation.substitute }
      add(observation.values.slice(*KEPT).merge(beside: beside), SecureRandom.uuid, observation.posed_problem,
          replaces: observation, by: by)
    end

    # What the last record made of that child's estimate, without reading it again.
    # @return [Rungs::Progress::Estimate, nil] nil where it was not simply carried on
    def estimate(child, operation, scope, on:)
      running = @carried.is_a?(Hash) && @carried[[child.id, operation, scope]]
      EstimateRows.opened(running).estimate(on: on) if running && running.recent.last.day <= on
    end

    private

    # What was said before its end is kept, whenever it comes.
    def over?(time) = @classroom.ends_on && @classroom.over?(@classroom.today(time))

    # Right until a wrong answer is tapped in.
    def judged(details, posed)
      details = details.merge(used: Sequel.pg_array(details[:used], :text)) if details.key?(:used)
      details = details.merge(heard: Sequel.pg_array(details[:heard], :integer)) if details.key?(:heard)
      return details unless details.key?(:answer)

      { right: details[:answer].nil? || posed.problem.right?(details[:answer]) }.merge(details)
    end

    # The first version is locked while the newest is replaced, so that two corrections at once are both kept.
    def replace(first_key, client_key)
      DB.transaction do
        versions = @classroom.observations_dataset.where(first_key: first_key).order(:id)
        raise Gone unless theirs?(versions.for_update.first)

        current = versions.last
        next current if current.undone || versions.where(client_key: client_key).any?

        add(current.values.slice(*KEPT).merge(yield(current)), client_key, current.posed_problem, replaces: current)
      end
    end

    # A substitute changes their own records of that lesson, and no others; nor does who is no teacher.
    def theirs?(first)
      return first&.substitute && @classroom.problem(first.problem_id) if @substitute

      !first.nil? && (Policy.may?(@role, :correct_all) || first.account_id == @account_id)
    end

    # A key that is there already adds nothing; what is added is carried into the estimates in the same transaction.
    # @param by [Hash] who made it
    def add(row, client_key, posed, replaces: nil, by: { account_id: @account_id, substitute: @substitute })
      row = NEW.merge({ first_key: client_key }, row, by, { replaces_id: replaces&.id, client_key: client_key,
                                                            recorded_at: Time.now, carried: @carry })
      added = Observation::ADD.call(row.merge(slip: slip(posed, row), lesson_id: posed.lesson_id)).first or return
      observation = Observation.call(added).read_with(posed_problem: posed)
      @carried = Ledger.new(@classroom).note(observation, replaced: replaces) if @carry
      observation
    end

    # The likeliest slip of a wrong answer.
    def slip(posed, row)
      return if row[:right] || row[:answer].nil?

      Rungs::Slip::Diagnosis.new(posed.problem, row[:answer], rung: row[:code]).slips.first&.id
    end

    # The version that stands of the record that a client's key made or changed.
    def standing(client_key)
      made = @classroom.observations_dataset.first(client_key: client_key)
      @classroom.observations_dataset.where(first_key: made.first_key).order(:id).last
    end
  end
end
