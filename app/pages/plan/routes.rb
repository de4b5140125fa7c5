# frozen_string_literal: true

module Pages
  module Plan
    # Posing: a situation, a band, and a story with right words and numbers.
    class Routes < Shared::Tab
      needs :plan, see: :see_plan

      PUT_BACK = "Put the number back into the words, or change the numbers below"
      USUAL = { situation: "add_to.result", band: "to10" }.freeze
      TAKING = "take_from.result"

      get "/:room" do
        kept = unfinished.fields unless params[:situation] || params[:part]
        show Page.new(visitor, kept: !kept.nil?, **as_before, **checked(DraftContract), **kept.to_h)
      end

      # Words as they are typed, to be gone on with.
      post "/:room/draft" do
        unfinished.store(checked(DraftContract).slice(:situation, :band, :numbers, :template, :names, :words))
        "Kept a moment ago."
      end

      post "/:room/draft/forget" do
        unfinished.forget
        redirect "/plan/#{room.id}"
      end

      # Poses it. Where the numbers or the words don't do, the page comes back with the reason and all that was typed.
      post "/:room/problems" do
        form = checked(DraftContract)
        typed = { band: "to10", **form }
        sets = sets_of(form)
        unfinished.forget
        whose = sets.size > 1 ? Page.new(visitor, **typed).kept_sets(sets.map { |data| data[:number_set] }) : []
        form[:part] ? make_ready(form[:part], sets, whose) : tell(sets, whose)
      rescue KeyError
        refuse("Choose a situation and give its numbers")
      rescue Refusal, Rungs::Error => e
        status 422
        show Page.new(visitor, trouble: e.message, **typed.to_h)
      end

      post "/:room/equations" do
        typed = checked(EquationContract)[:equation].to_s.strip
        problem = Rungs::Problem::Equation.parse(typed).to_problem
        tell([Rungs::Activity::POSED.data_for(problem, "")])
      rescue Refusal, Rungs::Error => e
        status 422
        show Page.new(visitor, typed_equation: typed, equation_trouble: e.message, **USUAL)
      end

      helpers do
        def unfinished = Records::Draft.new(person, room, "story")

        # As the last story posed; an equation has no situation to go on from.
        def as_before
          last = room.last_story
          last ? { situation: last.situation, band: last.band } : current_aim
        end

        # Where the class is.
        def current_aim
          there = Records::ClassStanding.new(room, today + 1).current_aim
          { situation: there[:operation] == "add" ? USUAL[:situation] : TAKING, band: there[:band] }
        end

        # The story with each of its sets of numbers.
        # @return [Array<Hash>] the data of items
        def sets_of(form)
          problem = Rungs::Problem.from_story(form.fetch(:situation), form.fetch(:numbers))
          words = form[:words].to_s.gsub(/\s+/, " ").strip
          refuse("The story is empty. Write it, or take another one") if words.empty?
          missing = Rungs::Problem::Story.missing_numbers(words, problem).join(" and ")
          refuse("The story must still say #{missing}. #{PUT_BACK}") unless missing.empty?
          NumberSets.new(form, words, room.book).problems
        end

        # Poses it and puts it on the board, in the part of the lesson that is going on.
        # @param whose [Array<Hash>] which children each set of numbers is for
        def tell(told, whose = [])
          posed = room.start_lesson(today).course.tell(told)
          posed.part.merge_details(sets: whose) if whose.any?
          redirect "/listen/#{room.id}?problem=#{posed.id}"
        end

        # Keeps it for its part of a planned lesson.
        def make_ready(id, told, whose)
          part = room.part(id) || halt(404)
          part.items.add(told)
          part.merge_details(sets: whose) if whose.any?
          redirect "/lesson/#{room.id}?day=#{part.lesson.held_on}"
        end
      end
    end
  end
end
