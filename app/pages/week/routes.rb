# frozen_string_literal: true

module Pages
  module Week
    # Five lessons side by side: proposed from the records, moved, copied, emptied, repeated; what to bring for them.
    class Routes < Shared::Tab
      helpers Shared::ClassMargin

      # Days that are looked back on.
      TERM = 112

      before("/:room/?*") do
        @tab, @title = "plan", "The week"
        @form = checked(WeekContract)
        @week = Records::Week.new(room, evidence, monday)
      end

      get("/:room") { page }

      # What was done in this term and what not yet.
      get "/:room/term" do
        @title, @from = "The term", today - TERM
        @rows = Records::Term.new(room, @from, today).rows
        @margin = class_margin { |child| "/climb/#{room.id}/children/#{child.id}" }
        erb :"week/term"
      end

      # A thing is there, or it is not: only what is missing is listed, and what needs it is proposed last.
      post "/:room/shelf" do
        thing = params[:thing].to_s
        things = Rungs::Activity::ALL.flat_map { |kind| kind.materials.map(&:thing) }
        refuse("There is no such thing to bring") unless things.include?(thing)
        @week.shelve(thing, there: params[:there] == "1")
        redirect "#{here}#bring"
      end

      post "/:room/propose" do
        @week.propose(today, seed: @form[:seed] || ((monday.jd % 9999) + 1))
        redirect here
      end

      # One part for the next best.
      post "/:room/parts/:part/exchange" do
        part = room.part(params[:part]) || halt(404)
        refuse("That part has begun; it stays") if part.begun?
        @week.exchange(part, today, seed: Random.rand(1..9999))
        htmx? ? page : redirect(here)
      end

      # A part to another day.
      post "/:room/move" do
        part = room.part(@form[:item]) || halt(404)
        refuse("That part has begun; it stays") if part.begun?
        @week.move(part, @form[:place] || refuse("Choose a day"))
        htmx? ? page : redirect(here)
      end

      # A whole day: copied to another, emptied, without school or with it.
      post "/:room/day" do
        day = @form[:day] || refuse("Choose a day")
        case @form[:do]
        when "copy" then copy(day)
        when "empty" then @week.empty(day)
        else room.mark_off([day], closed: @form[:do] == "close")
        end
        redirect here
      end

      # Days without school, from a calendar’s file: shown first, marked when that is agreed to.
      post "/:room/off" do
        @title = "Days without school"
        sent = params[:file].is_a?(Hash) ? params[:file][:tempfile] : refuse("Choose a calendar’s file first")
        @days = Exchange::DaysOff.read(sent.read.to_s, from: today)
        @margin = class_margin { |child| "/climb/#{room.id}/children/#{child.id}" }
        erb :"week/off"
      end

      post "/:room/off/keep" do
        days = checked(OffContract)[:days]
        room.mark_off(days)
        env["rack.session"]["note"] = "#{plural(days.size, 'day')} without school marked."
        redirect here
      end

      # The same lessons as a week before.
      post "/:room/repeat" do
        @week.dates.each do |date|
          before = room.lesson_on(date - 7)&.course
          @week.copy(before, date) if before && @week.parts_on(date).empty? && !@week.off?(date)
        end
        redirect here
      end

      # A private address for a calendar: made, changed (the old one leads nowhere), or taken back.
      post "/:room/calendar" do
        room.update(calendar_key: params[:off] ? nil : SecureRandom.hex(16))
        note_act("calendar", room)
        redirect here
      end

      # The offer of a wider range, taken or left.
      post "/:room/range" do
        made = offer || refuse("There is no such offer any more")
        params[:open] ? @week.open_range(made) : @week.stay(made)
        redirect here
      end

      helpers do
        def monday
          day = @form[:from] || coming_day
          day - (day.cwday - 1)
        end

        def here(day = monday) = "/week/#{room.id}?from=#{day}"
        def offer = @offer ||= @week.widening(today)

        def page
          @margin = class_margin(next_up: listening.waiting(today).map(&:child)) do |child|
            "/climb/#{room.id}/children/#{child.id}"
          end
          erb :"week/week"
        end

        def copy(day)
          course = room.lesson_on(day)&.course || refuse("Nothing is planned on that day")
          @week.copy(course, @form[:place] || refuse("Choose the day it goes to"))
        end

        # Whom to hear on each day to come.
        def hear
          days = @week.dates.select { |date| date >= today && !@week.off?(date) }
          @hear ||= days.empty? || room.children.empty? ? {} : listening.plan(days).to_h { |day| [day.date, day.turns] }
        end

        # What is missing, and what the class has.
        # @return [Array(Array<Rungs::Planning::Bring::Thing>, Array<Rungs::Planning::Bring::Thing>)]
        def bring
          things = Rungs::Planning::Bring.for(@week.parts.map(&:activity).uniq, children: room.children.size)
          @bring ||= things.partition { |each| !@week.shelf.include?(each.thing) }
        end

        def cautions = Rungs::Planning::Caution.for(*@week.parts.flat_map { |part| part.activity.cautions }.uniq)
        def i_can = (@week.parts.find { |part| part.details["fresh"] } || @week.parts.first)&.activity&.i_can
      end
    end
  end
end
