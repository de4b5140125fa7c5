# frozen_string_literal: true

module Records
  # One place where an account is signed in. It ends when it was not used for long, or is old; how long that is, the
  # strictest of the account's classes says; on a device on which somebody stays signed in it is thirty days.
  class Session < Sequel::Model(:account_active_session_keys)
    IDLE = Rungs::Planning::Setting::ALL.fetch("idle")
    DAYS = Rungs::Planning::Setting::ALL.fetch("session_days")
    # Seconds after which a use is noted again, so that not every tap writes; for which one that stays may be unused.
    NOTED = 300
    STAYS = 30 * 86_400

    def self.strictest(setting)
      chosen = Sequel.cast(Sequel.lit("settings ->> ?", setting.id), Integer)
      classes = DB[:classrooms].where(id: DB[:memberships].where(account_id: :$account_id).select(:classroom_id))
      classes.select(Sequel.function(:min, Sequel.function(:coalesce, chosen, setting.default.to_i)))
    end
    private_class_method :strictest

    # @param sessions [Sequel::Dataset] under the name session
    # @return [Sequel::Dataset] with what the strictest class says
    def self.with_limits(sessions)
      sessions.select_all(:session).select_append(strictest(IDLE).as(:hours), strictest(DAYS).as(:days))
    end

    # @param row [Hash] of a session with its limits
    # @return [Boolean] whether that session goes on; its use is noted, and one that is over is taken away
    def self.go_on?(row, now)
      session = call(row.slice(*columns, :hours, :days))
      if session.over?(now)
        session.this.delete
        return false
      end

      session.this.update(last_use: now) if now - session.last_use > NOTED
      true
    end

    # @return [Array<Session>] of an account, the last used first
    def self.of(account) = where(account_id: account.id).order(Sequel.desc(:last_use)).all

    # It lasts on its device.
    def self.stay(account_id, session_id) = where(account_id: account_id, session_id: session_id).update(stays: true)

    def over?(now)
      return now - last_use > STAYS if stays

      hours, days = values[:hours] || IDLE.default.to_i, values[:days] || DAYS.default.to_i
      now - last_use > hours * 3600 || now - created_at > days * 86_400
    end

    # "a tablet with Android", for those who look through the list.
    def device_name = DEVICES.find { |mark, _| device.include?(mark) }&.last || "another device"

    DEVICES = { "iPad" => "an iPad", "iPhone" => "an iPhone", "Android" => "an Android device",
                "CrOS" => "a Chromebook", "Windows" => "a Windows computer", "Macintosh" => "a Mac",
                "Linux" => "a Linux computer" }.freeze
    private_constant :DEVICES
  end
end
