# frozen_string_literal: true

module Pages
  module Week
    # Five lessons side by side: aimed, proposed from the records, moved, copied, emptied, repeated; what to bring and
    # print for them.
    class Routes < Shared::Tab
      needs :plan, see: :see_plan
      reads_beside %r{/term\z}

      before("/:room/?*") do
        @form = checked(WeekContract)
        @week = Records::Week.new(room, monday)
      end

      get("/:room") { show page }
      get("/:room/term") { show TermPage.new(visitor) }

      # The aim: range, operation, and the sentence.
      post "/:room/aim" do
        @week.aim(@form[:i_can].to_s.strip, **@form.slice(:band, :operation))
        redirect here
      end

      post "/:room/propose" do
        proposal.fill
        redirect here
      end

      # Another week in the place of the one proposed, to be taken back.
      post "/:room/propose/another" do
        seed = proposal.propose_another
        visitor.note("Another week is proposed.", undo: "/week/#{room.id}/propose/back?from=#{monday}&seed=#{seed}")
        redirect here
      end

      post "/:room/propose/back" do
        proposal.take_back(@form[:seed] || halt(404))
        redirect here
      end

      # A thing is there, or it is not: only what is missing is listed, and what needs it is proposed last.
      post "/:room/shelf" do
        thing = params[:thing].to_s
        things = Rungs::Activity::ALL.flat_map { |kind| kind.materials.map(&:thing) } + room.own_things
        refuse("There is no such thing to bring") unless things.include?(thing)
        @week.shelve(thing, there: params[:there] == "1")
        redirect back_to("/week/#{room.id}", "/lesson/#{room.id}")
      end

      # What a class that begins knows already: it is no news, and may be a warm-up.
      post "/:room/knows" do
        room.merge_settings("knows" => Array(params[:knows]).map(&:to_s) & Rungs::Activity::ALL.ids)
        redirect here
      end

      # One part for the next best.
      post "/:room/parts/:part/exchange" do
        part = room.part(params[:part]) || halt(404)
        refuse("That part has begun; it stays") if part.begun?
        proposal.exchange(part) || refuse("Nothing else fits into its time that is not there already")
        htmx? ? show(page) : redirect(here)
      end

      # What an earlier lesson left undone, before what is planned for the next.
      post "/:room/flow" do
        date, lesson = @week.left_over(today) || refuse("Nothing is left undone")
        @week.flow(lesson, date)
        redirect here
      end

      # A part to another day.
      post "/:room/move" do
        part = room.part(@form[:item]) || halt(404)
        refuse("That part has begun; it stays") if part.begun?
        @week.move(part, @form[:place] || refuse("Choose a day"))
        htmx? ? show(page) : redirect(here)
      end

      # A whole day: moved or copied to another, emptied, without school or with it.
      post "/:room/day" do
        day = @form[:day] || refuse("Choose a day")
        case @form[:do]
        when "copy" then copy(day)
        when "move" then @week.move_whole(day, @form[:place] || refuse("Choose the day it goes to"))
        when "empty" then @week.empty(day)
        else room.mark_off([day], closed: @form[:do] == "close")
        end
        redirect here
      end

      # Days without school, from a calendar’s file: shown first, marked when that is agreed to.
      post "/:room/off" do
        sent = params[:file].is_a?(Hash) ? params[:file][:tempfile] : refuse("Choose a calendar’s file first")
        days = Exchange::DaysOff.read(sent.read.to_s, from: today)
        show OffPage.new(visitor, monday: monday, days: days)
      end

      post "/:room/off/keep" do
        days = checked(OffContract)[:days]
        room.mark_off(days)
        visitor.note "#{plural(days.size, 'day')} without school marked."
        redirect here
      end

      # The same typed: a day, or from one to another.
      post "/:room/off/typed" do
        first, last = checked(OffTypedContract).values_at(:first, :last)
        last ||= first
        refuse("The last day comes before the first") if last < first
        refuse("A year at most") if last - first > Exchange::DaysOff::MOST
        room.mark_off((first..last).select { |day| Rungs::SchoolDays.school_day?(day) })
        visitor.note "No school from #{long_date(first)} to #{long_date(last)}."
        redirect here
      end

      # The same lessons as in an earlier week.
      post "/:room/repeat" do
        @week.repeat(@form[:place] || refuse("Choose a week"))
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
        numbers = "numbers #{band_title(made.following)}"
        if params[:open]
          widening.open(made)
          @week.aim("", **@week.current_aim, band: made.following)
          visitor.note "Weeks are proposed with #{numbers} from now on."
        else
          widening.stay(made)
          visitor.note "Weeks stay as they are; #{numbers} are not offered again."
        end
        redirect here
      end

      helpers do
        # At a weekend the week to come, also where a lesson was begun on it.
        def monday
          day = @form[:from] || (Rungs::SchoolDays.school_day?(today) ? coming_day : Rungs::SchoolDays.after(today))
          Rungs::SchoolDays.monday(day)
        end

        def here(day = monday) = "/week/#{room.id}?from=#{day}"
        def proposal = @proposal ||= Records::Proposal.new(@week, today)
        def widening = @widening ||= Records::Widening.new(room, *@week.current_aim.values_at(:operation, :band))
        def offer = @offer ||= widening.offer(today)

        def page = Page.new(visitor, @week, offer: offer, **@form)

        def copy(day)
          course = room.lesson_on(day)&.course || refuse("Nothing is planned on that day")
          @week.copy(course, @form[:place] || refuse("Choose the day it goes to"))
        end
      end
    end
  end
end
