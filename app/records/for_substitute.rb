# frozen_string_literal: true

module Records
  # A class as whoever takes one lesson of it sees it: that lesson alone, first names alone, and of what was recorded
  # only their own.
  #
  #   lesson.classroom.extend(ForSubstitute).see_only(lesson)
  module ForSubstitute
    # @param lesson [Lesson]
    # @return [Classroom] this one
    def see_only(lesson)
      @only = lesson
      own(lesson)
      self
    end

    def children = @children ||= super.tap { |all| shorten(all) }
    def child(id) = children.find { |child| child.id.to_s == id.to_s }
    # One who left the list meanwhile, by the name that is seen here.
    def anybody(id) = child(id) || super&.tap { |gone| shorten([gone]) }
    def lesson_on(day) = (@only if day == @only.held_on)
    def lesson(id) = (@only if id.to_s == @only.id.to_s)
    def part(id) = in_it(super)
    def last_problem = in_it(@only.problems_dataset.for_everybody.last)

    def problem(id) = in_it(super)&.then { |posed| posed unless posed.check_in_id }

    def record(key, **of) = super(key, substitute: true, **of)&.then { |row| row if problem(row.problem_id) }
    def last_records(lesson) = super(lesson, substitute: true)

    private

    # A part or a problem of that lesson, which knows it.
    def in_it(row) = (row.read_with(lesson: @only) if row && row.lesson_id == @only.id)

    # Never saved: the names on the list stay.
    def shorten(all)
      names = Rungs::FirstNames.of(all.map(&:name))
      all.each { |child| child.values[:name] = names.fetch(child.name) }
    end
  end
end
