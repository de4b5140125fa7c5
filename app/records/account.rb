# frozen_string_literal: true

module Records
  # A grown-up who signs in. Every query about children starts from a classroom found here.
  class Account < Sequel::Model(:accounts)
    many_to_many :classrooms, join_table: :memberships, order: :name, conditions: { archived_on: nil }
    many_to_many :archived, join_table: :memberships, class: "Records::Classroom", right_key: :classroom_id,
                            order: :name, conditions: Sequel.~(archived_on: nil)

    one_to_many :uploads, class: "Records::Upload"

    one_to_many :memberships, class: "Records::Membership"
    plugin :timestamps

    # @return [Sequel::Dataset] the classes of an account, by their numbers
    def self.rooms_of(account_id) = DB[:memberships].where(account_id: account_id).select(:classroom_id)

    # @param account_id [Integer, nil] who is signed in
    # @param id [String, Integer] as it stands in an address
    # @return [Classroom, nil] nil where there is none, or it is another's
    def self.classroom_of(account_id, id)
      return unless account_id && id.to_s.match?(/\A\d{1,18}\z/)

      Classroom::OF.call(id: id.to_i, account_id: account_id)
    end

    # @return [Classroom, nil]
    def classroom(id) = Account.classroom_of(self.id, id)

    # A first class of one's own.
    def start_classroom(**attributes)
      db.transaction do
        classroom = Classroom.create({ ends_on: Classroom::Ending.usual(Date.today), **attributes })
        Membership.create(account_id: id, classroom_id: classroom.id)
        associations.delete(:classrooms)
        classroom
      end
    end

    # @return [String]
    def known_as = name.empty? ? email : name

    # @return [String, nil] as what it belongs to a class
    def role_in(room) = Membership.role(id, room.id)

    # Those whose day it sees, as a teacher or an assistant; and those it visits.
    def own_classes = of_role(%w[teacher assistant])
    def coached = of_role("coach")

    # Takes away the classes that nobody else teaches, with all that was recorded there.
    def leave_classrooms
      taught = memberships_dataset.teachers.select_map(:classroom_id)
      [*classrooms, *archived].select { |classroom| taught.include?(classroom.id) }.each do |classroom|
        shared = Membership.teachers.where(classroom_id: classroom.id).exclude(account_id: id)
        classroom.erase if shared.empty?
      end
    end

    private

    def of_role(role) = classrooms_dataset.where(id: memberships_dataset.where(role: role).select(:classroom_id)).all
  end
end
