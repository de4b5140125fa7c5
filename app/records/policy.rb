# frozen_string_literal: true

module Records
  # Who may do what with a class (guide 17): one table, asked by routes and views alike.
  module Policy
    ROLES = %w[teacher assistant coach substitute].freeze

    # By act, what each role may: true, false; setting: where the class has it so; visit: while a visit goes on.
    TABLE = {
      record: [true, true, :visit, true],
      correct_all: [true, false, false, false],
      conduct: [true, true, false, true],
      see_plan: [true, true, true, false],
      plan: [true, false, false, false],
      print: [true, true, true, false],
      ladders: [true, :setting, true, false],
      notes: [true, false, false, false],
      take_photos: [true, true, false, false],
      see_groups: [true, false, true, false],
      groups: [true, false, false, false],
      coach: [true, false, true, false],
      keep: [true, false, false, false],
      teach: [true, false, false, false],
      visit: [false, false, true, false],
      share_list: [true, true, false, false],
      unnoted: [true, false, false, true]
    }.transform_values { |each| ROLES.zip(each).to_h.freeze }.freeze

    # The words of what each act is, for an invitation and the page of people.
    WORDS = {
      record: "take down answers", conduct: "conduct the lesson and its board", see_plan: "see what is planned",
      plan: "plan", print: "print sheets", ladders: "see ladders and children’s pages", notes: "write to families",
      take_photos: "take photos of drawings", groups: "make groups",
      keep: "change names and settings, take records out, invite others"
    }.freeze

    module_function

    # @param role [String, nil] one of ROLES
    # @param act [Symbol] of TABLE
    # @param room [Classroom, nil] only where its setting or a visit decides
    # @yield whether a visit of theirs goes on, where that matters
    def may?(role, act, room = nil)
      case TABLE.fetch(act)[role]
      when :setting then room.setting("assistant_sees") == "yes"
      when :visit then block_given? && yield
      else TABLE.fetch(act)[role] == true
      end
    end

    # Whether what somebody in that role may do is a setting of the class.
    def set_by_class?(role) = TABLE.values.any? { |row| row[role] == :setting }

    # @return [Hash{Symbol => Array<String>}] may and may_not, in words
    def words_for(role, room)
      yes, no = WORDS.keys.partition { |act| may?(role, act, room) || TABLE[act][role] == :visit }
      { may: yes.map { |act| TABLE[act][role] == :visit ? "#{WORDS[act]}, in a visit" : WORDS[act] },
        may_not: no.map { |act| WORDS[act] } }
    end
  end
end
