# frozen_string_literal: true

module Records
  # Somebody's practice of hearing: the clip that is on, what was heard of it, and all that were heard before. Nobody
  # else sees it unless it is shared.
  class Ear
    # @param account [Account]
    def initialize(account)
      @account = account
    end

    # What is on: clip (a scene's JSON), heard_as (nil until it was answered), taken (equations of this practice).
    def now = stored["now"]
    def answered? = !now.nil? && !now["heard_as"].nil?
    def place = now ? now["taken"].size : 0
    def over? = answered? && place >= Rungs::Clip::Practice::LENGTH

    def shared? = stored["shared"] == true
    def aloud? = stored["aloud"] == true
    def choose(shared:, aloud:) = merge("shared" => shared, "aloud" => aloud)

    # Whether one's table counts in estimates of what one took down: as it was when that was chosen.
    def counts? = stored.key?("counts")
    def may_count? = confusions.enough?

    # From now on it does, or not any more; what it was counted in is made anew.
    def count(wanted)
      return if wanted == counts? || (wanted && !may_count?)

      DB.transaction do
        other = wanted ? stored.merge("counts" => confusions.counts) : stored.except("counts")
        @account.update(ear: Sequel.pg_jsonb(other))
        heard = DB[:observations].where(account_id: @account.id).distinct.select_map(%i[classroom_id child_id])
        heard.group_by(&:first).each do |room, pairs|
          Ledger.new(Classroom[room]).rebuild(pairs.map(&:last))
        end
      end
    end

    # @return [Hash{Integer => Rungs::Clip::Confusions}] by account, the tables that count
    def self.tables
      with = Sequel.pg_jsonb_op(:ear).contain_all(%w[counts])
      rows = DB[:accounts].where(with).select_map(%i[id ear])
      rows.to_h { |id, ear| [id, Rungs::Clip::Confusions.of(ear["counts"])] }
    end

    # Begins twelve, or goes on to the next of them.
    def go_on(random: Random.new)
      taken = over? || now.nil? ? [] : now["taken"]
      scene = Rungs::Clip::Practice.next(confusions, taken, random)
      clip = JSON.parse(scene.to_h.to_json)
      merge("now" => { "clip" => clip, "heard_as" => nil, "taken" => [*taken, clip["equation"]] })
    end

    # @param code [String] of a rung, or off the ladder
    def answer(code)
      return if now.nil? || answered?

      clip = now["clip"]
      DB.transaction do
        DB[:clips_heard].insert(account_id: @account.id, clip: Sequel.pg_jsonb(clip), code: clip["rung"],
                                heard_as: code, at: Time.now)
        merge("now" => now.merge("heard_as" => code))
      end
    end

    # @return [Array<Array(String, String)>] what each clip was and was heard as, in order
    def pairs = DB[:clips_heard].where(account_id: @account.id).order(:id).select_map(%i[code heard_as])
    def confusions = Rungs::Clip::Confusions.new(pairs)

    # Of the practice that is on, or just over.
    def last_pairs = pairs.last(place - (answered? ? 0 : 1))

    private

    def stored = @account.ear.to_h
    def merge(more) = @account.update(ear: Sequel.pg_jsonb(stored.merge(more)))
  end
end
