# frozen_string_literal: true

module Records
  # What was done to a class or with an account, and from where; no child is named in it.
  class Audit < Sequel::Model(:audit_events)
    plugin :timestamps, create: :at
    # What is noted of a class or an account, in words.
    WHAT = { "erased" => "erased a child and all records", "year" => "began a new year",
             "calendar" => "changed the calendar’s address",
             "settings" => "changed how the class does things",
             "exported" => "made a note for a family as PDF", "code" => "opened the board by a code",
             "children" => "added children", "off_the_list" => "took a child off the list",
             "link" => "made a link for a substitute", "called_back" => "called a substitute’s link back",
             "set_aside" => "set aside what a substitute took down",
             "counted_again" => "counted again what a substitute took down",
             "substitute" => "opened a lesson by a substitute’s link",
             "stranger" => "asked for this class without being its teacher",
             "sessions" => "signed out on other devices" }.freeze
    # What signing in notes by itself.
    SIGNING = { "login" => "signed in", "login_failure" => "tried a wrong password", "logout" => "signed out",
                "create_account" => "made the account", "change_password" => "changed the password",
                "load_memory" => "came back on a device that stays signed in" }.freeze
    Row = Struct.new(:at, :who, :what, :where, :address, keyword_init: true)

    many_to_one :account, class: "Records::Account"
    many_to_one :classroom, class: "Records::Classroom"

    # @param what [String] an id of WHAT
    def self.note(what, account_id:, classroom: nil, address: "")
      WHAT.fetch(what)
      create(what: what, account_id: account_id, classroom_id: classroom&.id, address: address.to_s)
    end

    # @param account [Account]
    # @return [Array<Row>] of the account and its classes, the newest first
    def self.of(account, most: 100)
      (acts(account, most) + signings(account, most)).sort_by(&:at).reverse.first(most)
    end

    def self.acts(account, most)
      rooms = DB[:memberships].where(account_id: account.id).select(:classroom_id)
      events = where(account_id: account.id).or(classroom_id: rooms).order(Sequel.desc(:at)).limit(most)
      events.eager(:account, :classroom).all.map do |each|
        Row.new(at: each.at, who: each.account&.name || "no account", what: WHAT[each.what],
                where: each.classroom&.name, address: each.address)
      end
    end

    def self.signings(account, most)
      rows = DB[:account_authentication_audit_logs].where(account_id: account.id, message: SIGNING.keys)
      rows.order(Sequel.desc(:at)).limit(most).map do |row|
        Row.new(at: row[:at], who: account.name, what: SIGNING[row[:message]], address: row[:metadata].to_h["address"])
      end
    end
    private_class_method :acts, :signings
  end
end
