# frozen_string_literal: true

require "tzinfo"

module Records
  # A class of children, with its lessons and records.
  class Classroom < Sequel::Model(:classrooms)
    include Days
    include Customs
    include Held
    include Finding
    include Ending
    include OwnWords

    plugin :timestamps

    one_to_many :children, class: "Records::Child", order: %i[place name], conditions: { left_on: nil }
    one_to_many :lessons, class: "Records::Lesson", order: Sequel.desc(:held_on)
    one_to_many :problems, class: "Records::PosedProblem", order: %i[posed_at id], conditions: { check_in_id: nil }
    one_to_many :observations, class: "Records::Observation"
    one_to_many :memberships, class: "Records::Membership"
    one_to_many :visits, class: "Records::Visit"
    one_to_many :invitations, class: "Records::Invitation"
    one_to_many :home_answers, class: "Records::HomeAnswer"

    # What every tap asks is planned once for each connection: here the class of an account, its children, and a day’s
    # lesson.
    OF = where(id: :$id).where(id: DB[:memberships].where(account_id: :$account_id).select(:classroom_id))
                        .prepare(:first, :classroom_of)
    CHILDREN = Child.where(classroom_id: :$id, left_on: nil).order(:place, :name).prepare(:select, :children_of)
    CHILD = Child.where(classroom_id: :$classroom_id, id: :$id, left_on: nil).prepare(:first, :child_of)
    ON_DAY = Lesson.where(classroom_id: :$id, held_on: :$day).prepare(:first, :lesson_on)
    private_constant :CHILDREN, :CHILD, :ON_DAY

    # A child and a problem that were read with it.
    def bring(child:, problem:)
      @child, @problem = child, problem
    end

    def children = associations[:children] ||= CHILDREN.call(id: id)

    def off_the_list = Child.where(classroom_id: id).exclude(left_on: nil).order(:name).all

    # @return [Integer] how many children are on the list now
    def size = children_dataset.count

    # Class and school, for a foot line.
    def named = [name, school].reject(&:empty?).join(", ")

    # By operation; looked for once, however many parts of a lesson ask.
    def due_facts
      @due_facts ||= Hash.new { |all, operation| all[operation] = Evidence.new(self).due_facts(operation, on: today) }
    end

    # @return [Hash{Symbol => String}] the band and the operation it is at; none before its first problem
    def current_aim
      last = problems_dataset.for_everybody.last
      last ? { band: last.band, operation: last.operation } : {}
    end

    # All of it goes, and no copy brings its children back.
    def erase
      DB.transaction do
        Erasing.note(self, Child.where(classroom_id: id).select_map(:id))
        delete
      end
    end

    # A class with the same children, settings and teacher, and no records; this one is put away.
    # @param name [String]
    # @param by [Account]
    # @return [Classroom]
    def begin_anew(name, by:)
      DB.transaction do
        following = by.start_classroom(name: name, school: school, time_zone: time_zone)
        following.merge_settings(settings.to_h.except("apart"))
        Child.enrol(following, children.map(&:name))
        update(archived_on: today)
        following
      end
    end
  end
end
