# frozen_string_literal: true

module Demo
  # What the made-up class did beside its stories: an activity each lesson day, all in turn; a lesson planned to the
  # minute for today; the rest of this week and the next as they are proposed.
  class Plan
    BEFORE = 15 * 60
    BEGINS = 9 * 3600

    # @param classroom [Records::Classroom]
    # @param day [Date] today
    def initialize(classroom, day)
      @classroom = classroom
      @day = day
    end

    def make
      past = @classroom.lessons_dataset.where(Sequel[:held_on] < @day).order(:held_on).all
      past.zip(Rungs::Activity::ALL.ids.cycle).each_with_index { |(lesson, id), index| done(lesson, id, index + 1) }
      own
      today
      weeks
    end

    private

    def done(lesson, id, seed)
      part = lesson.course.plan(id, details: { "seed" => seed })
      begun = @classroom.midnight(lesson.held_on) + BEGINS - BEFORE
      Records::PartRun.create(part_id: part.id, started_at: begun, ended_at: begun + (part.minutes * 60))
    end

    # What its teacher wrote: a part, a thing for stories, a question.
    def own
      [["part", { title: "The ferry bell", minutes: 6, picture: "line",
                  lines: "The bell rings for each boat.\n(Ring seven times, then two.)\nHow many boats was that?",
                  sentences: "7 + 2 = ?\n9 - ? = 6", bring: "1 bell" }],
       ["thing", { one: "rope", many: "ropes", most: 20, drawing: "counter" }],
       ["question", { slip: "whole.start_counted", words: "Which number did you say first?" }]].each do |kind, typed|
        Records::Own.store(@classroom, Rungs::Own.read(kind, typed))
      end
    end

    # Quick looks, beads that hide, a story and the ways of it.
    def today
      course = @classroom.start_lesson(@day).course
      course.plan("quick_look", details: { "seed" => 4 })
      course.plan("hidden_beads", details: { "seed" => 7 })
      course.plan("story_time").items.add([story])
      course.plan("whose_way", minutes: 4)
    end

    def weeks
      monday = @day - ((@day.wday - 1) % 7)
      [monday, monday + 7].each { |first| Records::Proposal.new(Records::Week.new(@classroom, first), @day).fill }
    end

    def story
      problem = Rungs::Problem.from_story("take_from.result", [13, 5])
      told = Rungs::Problem::Story.write(problem, random: Random.new(11))
      Rungs::Activity::POSED.data_for(problem, told.text, template: told.template.id)
    end
  end
end
