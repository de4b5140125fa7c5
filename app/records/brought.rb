# frozen_string_literal: true

module Records
  # Something that was brought into a class, or a class that was: for thirty days it can be taken back whole.
  class Brought < Sequel::Model(:brought)
    many_to_one :classroom, class: "Records::Classroom"
    many_to_one :account, class: "Records::Account"

    DAYS = 30

    dataset_module do
      # The last first.
      def to_take_back(now = Time.now) = where { at > now - (DAYS * 86_400) }.reverse(:at, :id)
    end

    # What of each kind is counted: one, many.
    COUNTED = { "class" => nil, "answers" => %w[answer answers], "names" => %w[name names],
                "plans" => ["part of lessons", "parts of lessons"],
                "children" => ["answer of children who came", "answers of children who came"] }.freeze

    # @param kind [String] one of COUNTED
    # @param name [String] of the file
    # @return [Integer] its id
    def self.note(room, account, kind, name)
      dataset.insert(account_id: account.id, classroom_id: room.id, kind: kind, name: name.to_s[0, 120], at: Time.now)
    end

    # Adds children by name, to be taken back while nobody has heard them.
    # @raise [Child::TooMany]
    def self.names(room, account, names)
      DB.transaction do
        brought = note(room, account, "names", "a list")
        Child.enrol(room, names, brought: brought)
        added = Child.where(classroom_id: room.id, brought_id: brought).count
        added.zero? ? where(id: brought).delete : where(id: brought).update(rows: added)
      end
    end

    # "last year.csv, 120 answers"
    def title
      one, many = COUNTED.fetch(kind)
      return "the class from #{name}" unless many

      "#{rows} #{rows == 1 ? one : many} from #{name}"
    end
  end
end
