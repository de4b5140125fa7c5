# frozen_string_literal: true

module Records
  # What was done to a class or with an account, and from where; no child is named in it.
  class Audit < Sequel::Model(:audit_events)
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
             "keeper" => "had the password set anew by whoever keeps the machine",
             "taken_out" => "took records out as a file", "child_out" => "took out what is kept of one child",
             "brought" => "brought in a file", "taken_back" => "took back what was brought in",
             "offered" => "offered a child to another class",
             "handed_over" => "took a child over into another class",
             "invited" => "invited somebody", "uninvited" => "called an invitation back",
             "joined" => "took up an invitation", "ended" => "ended what somebody was in the class",
             "left" => "left the class", "looked" => "looked, without being its teacher",
             "changed" => "changed something, without being its teacher",
             "ends" => "changed the day on which the class ends",
             "emptied" => "names and photos were removed, since the class has ended",
             "sessions" => "signed out on other devices" }.freeze
    # What signing in notes by itself.
    SIGNING = { "login" => "signed in", "login_failure" => "tried a wrong password", "logout" => "signed out",
                "create_account" => "made the account", "change_password" => "changed the password",
                "reset_password_request" => "asked for a letter to set the password anew",
                "reset_password" => "set the password anew by a letter" }.freeze
    # Rows of a page.
    PAGE = 100
    Row = Struct.new(:at, :who, :what, :where, :address, :times, keyword_init: true)

    many_to_one :account, class: "Records::Account"
    many_to_one :classroom, class: "Records::Classroom"

    # Days in which an address where somebody signed in is known.
    KNOWN = 30

    # Whether that account was signed in to from there of late.
    def self.signed_in_from?(email, address, now: Time.now)
      account = Account.where(email: email).select(:id)
      DB[:account_authentication_audit_logs].where(account_id: account, message: "login")
                                            .where { at > now - (KNOWN * 86_400) }
                                            .where(Sequel.lit("metadata ->> 'address' = ?", address)).any?
    end

    # @param what [String] an id of WHAT
    # @param counted [Boolean] whether all of that class and account on a day are one row
    def self.note(what, account_id:, classroom: nil, address: "", counted: false)
      WHAT.fetch(what)
      row = { what: what, account_id: account_id, classroom_id: classroom&.id, address: address.to_s, at: Time.now }
      return create(row) unless counted

      day = [what, account_id, classroom&.id, Date.today].join(" ")
      again = { times: Sequel[:audit_events][:times] + 1, at: row[:at] }
      dataset.insert_conflict(target: :counted, conflict_where: Sequel.~(counted: nil), update: again)
             .insert(counted: day, **row)
    end

    # @param room [Classroom]
    # @return [Array<Row>] what was done to a class, the newest first
    def self.of_class(room, most:)
      rows = where(Sequel[:audit_events][:classroom_id] => room.id).eager(:account).reverse(:at).limit(most).all
      rows.map { |row| Row.new(at: row.at, who: row.account&.name.to_s, what: WHAT.fetch(row.what, row.what)) }
    end

    # @param account [Account]
    # @param page [Integer] from 1
    # @return [Array<Row>] of the account and its classes, the newest first; one more than a page
    #   has where others follow
    def self.of(account, page: 1)
      all = acts(account).union(signings(account), all: true).order(Sequel.desc(:at), Sequel.desc(:what))
      all.limit(PAGE + 1, (page - 1) * PAGE).map do |row|
        Row.new(at: row[:at], who: row[:who] || "no account", what: WHAT[row[:what]] || SIGNING[row[:what]],
                where: row[:where], address: row[:address], times: row[:times])
      end
    end

    def self.acts(account)
      rooms = Membership.teachers.where(account_id: account.id).select(:classroom_id)
      DB[:audit_events].where(Sequel.|({ account_id: account.id }, { classroom_id: rooms }))
                       .left_join(:accounts, id: Sequel[:audit_events][:account_id])
                       .left_join(:classrooms, id: Sequel[:audit_events][:classroom_id])
                       .select(Sequel[:audit_events][:at], :what, :times, Sequel[:audit_events][:address],
                               Sequel[:accounts][:name].as(:who), Sequel[:classrooms][:name].as(:where))
    end

    def self.signings(account)
      address = Sequel.pg_jsonb_op(Sequel.cast(:metadata, :jsonb)).get_text("address")
      DB[:account_authentication_audit_logs].where(account_id: account.id, message: SIGNING.keys)
                                            .select(:at, Sequel[:message].as(:what), Sequel.as(1, :times),
                                                    address.as(:address), Sequel.as(account.name, :who),
                                                    Sequel.as(Sequel.cast(nil, String), :where))
    end
    private_class_method :acts, :signings
  end
end
