# frozen_string_literal: true

module Pages
  module Week
    # Five lessons side by side: aimed, proposed from the records, moved, copied, emptied, repeated; what to bring and
    # print for them.
    class Routes < Shared::Tab
      helpers Shared::ClassMargin, Shared::Bringing

      # Days that are looked back on.
      TERM = 112

      before("/:room/?*") do
        @tab, @title = "plan", "The week"
        @form = checked(WeekContract)
        @week = Records::Week.new(room, monday)
      end

      get("/:room") { page }

      # What was done in this term and what not yet.
      get "/:room/term" do
        @title, @from = "The term", today - TERM
        @rows = Records::Term.new(room, @from, today).rows
        erb :"week/term"
      end

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
        seed = proposal.another
        undoable("Another week is proposed.", "/week/#{room.id}/propose/back?from=#{monday}&seed=#{seed}")
        redirect here
      end

      post "/:room/propose/back" do
        proposal.take_back(@form[:seed] || halt(404))
        redirect here
      end

      # A thing is there, or it is not: only what is missing is listed, and what needs it is proposed last.
      post "/:room/shelf" do
        thing = params[:thing].to_s
        things = Rungs::Activity::ALL.flat_map { |kind| kind.materials.map(&:thing) }
        refuse("There is no such thing to bring") unless things.include?(thing)
        @week.shelve(thing, there: params[:there] == "1")
        redirect back_to("/week/#{room.id}", "/lesson/#{room.id}")
      end

      # One part for the next best.
      post "/:room/parts/:part/exchange" do
        part = room.part(params[:part]) || halt(404)
        refuse("That part has begun; it stays") if part.begun?
        proposal.exchange(part) || refuse("Nothing else fits into its time that is not there already")
        htmx? ? page : redirect(here)
      end

      # One new thing too many, to a day that has none.
      post "/:room/parts/:part/to/:day" do
        part = room.part(params[:part]) || halt(404)
        refuse("That part has begun; it stays") if part.begun?
        @week.move(part, checked(WeekContract).fetch(:day))
        redirect here
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
        htmx? ? page : redirect(here)
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
          env["rack.session"]["note"] = "Weeks are proposed with #{numbers} from now on."
        else
          widening.stay(made)
          env["rack.session"]["note"] = "Weeks stay as they are; #{numbers} are not offered again."
        end
        redirect here
      end

      helpers do
        def monday
          day = @form[:from] || coming_day
          day - (day.cwday - 1)
        end

        def here(day = monday) = "/week/#{room.id}?from=#{day}"
        def proposal = @proposal ||= Records::Proposal.new(@week, evidence, today)
        def widening = @widening ||= Records::Widening.new(room, evidence)
        def offer = @offer ||= widening.offer(today)

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

        # The day that things are brought for; nil for the whole week.
        def bring_day = @week.dates.find { |date| date == @form[:day] }
        def bring_days = bring_day ? [bring_day] : week_days
        def parts_to_bring_for = bring_days.flat_map { |date| @week.parts_on(date) }

        # The school days that are still to come; of a week that is over, all.
        def week_days
          school = @week.dates.reject { |date| @week.off?(date) }
          coming = school.select { |date| date >= today }
          coming.any? ? coming : school
        end

        # Sheets of each kind that these days need.
        # @return [Hash{String => Integer}]
        def sheets
          lessons = bring_days.filter_map { |date| @week.lesson(date) }
          @sheets ||= Sheets::LessonPapers.of(lessons).map { |line| line.choices[:sheet] }.tally
        end

        # "9 sheets for each child"
        def how_many(kind)
          each = { "recording" => "each child", "practice" => "each child", "cutouts" => "each group" }[kind]
          [plural(sheets[kind], "sheet"), each].compact.join(" for ")
        end

        def first_planned = @week.dates.find { |date| @week.parts_on(date).any? }

        # Days to come that have nothing.
        def free_days? = @week.dates.any? { |date| date >= today && !@week.off?(date) && @week.parts_on(date).empty? }

        # The lesson that left something for this day.
        def left_to(date)
          @left_over = @week.left_over(today).to_a unless defined?(@left_over)
          @left_over.last if @left_over.first == date
        end

        # Who is not ready, by what for: "Dov, Hamish (not sure enough yet)"
        def waiting_for(offer)
          by_reason = offer.waiting.group_by(&:last).transform_values { |all| all.map(&:first) }
          by_reason.map { |why, names| "#{names.join(', ')} (#{why})" }.join("; ")
        end

        def ordinal(date) = I18n.l(date, format: :day)
      end
    end
  end
end
