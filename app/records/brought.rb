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
                "own" => ["thing of a teacher’s own", "things of a teacher’s own"],
                "children" => ["answer of children who came", "answers of children who came"] }.freeze

    # @param kind [String] one of COUNTED
    # @param name [String] of the file
    # @return [Integer] its id
    def self.note(room, account, kind, name)
      dataset.insert(account_id: account.id, classroom_id: room.id, kind: kind, name: name.to_s[0, 120], at: Time.now)
    end

    # After much came in, the database plans by how much there is now.
    def self.look_at_how_much = DB.get(Sequel.function(:look_at_how_much))

    # All of something, or nothing, with how much it was.
    # @yield [Integer] the id under which it can be taken back → how much came
    # @return [Integer] how much
    def self.whole(room, account, kind, name)
      DB.transaction do
        id = note(room, account, kind, name)
        rows = yield id
        where(id: id).update(rows: rows)
        rows
      end
    end

    # Adds children by name, to be taken back while nobody has heard them.
    # @raise [Child::TooMany]
    def self.names(room, account, names)
      whole(room, account, "names", "a list") do |brought|
        Child.enrol(room, names, brought: brought)
        Child.where(classroom_id: room.id, brought_id: brought).count
      end
      where(classroom_id: room.id, kind: "names", rows: 0).delete
    end

    # "last year.csv, 120 answers"
    def title
      one, many = COUNTED.fetch(kind)
      return "the class from #{name}" unless many

      "#{rows} #{rows == 1 ? one : many} from #{name}"
    end
  end
end
