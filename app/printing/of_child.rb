# frozen_string_literal: true

module Printing
  # All that is kept of one child, as pages to read.
  class OfChild
    include Wording

    # Ways that are told.
    MOST = 500

    attr_reader :room

    # @param room [Records::Classroom]
    # @param child [Records::Child] on the list, or off it
    def initialize(room, child, today:)
      @room = room
      @child = child
      @today = today
      @evidence = Records::Evidence.new(room)
    end

    # @param size ["a4", "letter"]
    # @return [::Sheets::ChildRecord]
    def sheet(size)
      ::Sheets::ChildRecord.new(title: @child.name, about: about, standing: standing, answers: answers,
                                everything_else: everything_else,
                                photos: photos, paper: size)
    end

    private

    def about = "All that is kept of #{@child.name} in #{room.named}, #{long_date(@today)}"
    def all = @all ||= @evidence.all(@child)

    def standing
      scopes_of(all).map do |operation, band|
        estimate = @evidence.estimate(@child, operation, band, on: @today)
        works = estimate.words.works(method(:short_date)) || "not enough heard"
        "#{operation_title(operation)}, #{band_title(band)}: #{works}. " \
          "#{estimate.words.reason(method(:short_date))}"
      end
    end

    def answers = all.reverse.map { |each| [short_date(each.record.day), each.equation, each.summary] }

    def everything_else
      home = room.home_answers_dataset.where(child_id: @child.id).order(:day).all
      { "Ways given" => Records::Way.given_by(@child, most: MOST).map { |way| "#{way.text}, #{on(way[:given_at])}" },
        "Notes for the family" => kept_in(:notes).select_map(:parts).flat_map { |each| each.to_h.values.grep(String) },
        "From home" => home.map { |each| "#{each.summary}, #{short_date(each.day)}" },
        "Days away" => kept_in(:absences).order(:day).select_map(:day).map { |day| short_date(day) } }
    end

    def kept_in(table) = DB[table].where(child_id: @child.id)
    def on(time) = short_date(room.today(time))

    def photos
      Records::Photo.where(child_id: @child.id).order(:taken_at).map { |each| [on(each.taken_at), each.content] }
    end
  end
end
