# frozen_string_literal: true

module Sheets
  # What a sheet says of itself. The tab and its form, the contract, the pack, the lesson page and the command line are
  # made from it:
  #
  #   class Dominoes < Cut
  #     entry id: "dominoes", title: "Dominoes"
  #     choice "to", [6, 9], label: "to"
  #
  # id, title, and note, which says beside a title what it is for; shelf, on which it lies; for_whom: :child, :group,
  # :family or :teacher; of_lesson: whether it is always about the lesson of a day; any_activity: whether
  # it is of any activity, with its options; once: whether it makes by itself as many as there are children; typed_in:
  # whether what was written on it can be typed in. What a class does not say is as the class above says it.
  module Entry
    FACTS = %i[id title note shelf for_whom of_lesson any_activity once typed_in].freeze

    def entry(**facts) = @facts = { **facts_above, **facts }.freeze
    def facts = @facts || facts_above
    FACTS.each { |name| define_method(name) { facts[name] } }

    # @param more [Hash] usual, names and offered, as Choice has them
    def choice(id, among, label:, usual: among.first, **more)
      (@choices ||= []) << Choice.new(id: id.to_sym, label: label, among: among, usual: usual, **more).freeze
    end

    # Choices of its kind of sheet that it has not.
    def without(*ids) = @without = ids

    # @return [Array<Choice>] its own, then those of its kind of sheet
    def choices
      inherited = above? ? superclass.choices : []
      [*@choices, *inherited.reject { |each| @without.to_a.include?(each.id) }].uniq(&:id)
    end

    # @return [Hash{Symbol => Object}] what is chosen where nothing is said
    def usual = choices.to_h { |each| [each.id, each.usual] }

    # @param children [Integer]
    # @return [Integer] copies: one for each child, or one
    def copies(children) = for_whom == :child && !once ? children.clamp(1, 40) : 1

    # @return [Integer] copies among those of a lesson: what is cut is for each group
    def copies_in_pack(children)
      for_whom == :group ? Rungs::Planning::Bring.shares("group", children).clamp(1, 40) : copies(children)
    end

    # @param activity [Class] of Rungs::Activity::ALL
    def needed_by?(_activity) = false

    # Whether a lesson needs it, whatever its parts are.
    def needed_in?(_source) = false

    # What it is called among the sheets of a lesson.
    def title_for(_activity) = title

    # How it stands in the list of all sheets.
    # @return [Array<Array(String, Hash)>] titles, and what is chosen there
    def listed(_source) = [[title, {}]]

    private

    def above? = superclass.singleton_class.include?(Entry)
    def facts_above = above? ? superclass.facts : {}
  end
end
