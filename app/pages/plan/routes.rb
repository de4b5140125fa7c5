# frozen_string_literal: true

module Pages
  module Plan
    # Posing: a situation, a band, and a story with right words and numbers.
    class Routes < Shared::Tab
      helpers Shared::ClassMargin

      get "/:room" do
        form = { situation: last_posed&.situation || "add_to.result",
                 band: last_posed&.band || "to10" }.merge(checked(DraftContract))
        @form = form
        @kept = unfinished.fields unless params[:situation] || params[:part]
        show(@kept ? form.merge(@kept) : form)
      end

      # Words as they are typed, to be gone on with.
      post "/:room/draft" do
        unfinished.keep(checked(DraftContract).slice(:situation, :band, :numbers, :template, :names, :words))
        "Kept a moment ago."
      end

      post "/:room/draft/forget" do
        unfinished.forget
        redirect "/plan/#{room.id}"
      end

      # Poses it. Where the numbers or the words don't do, the page comes back with the reason and all that was typed.
      post "/:room/problems" do
        form = checked(DraftContract)
        @form = { band: "to10" }.merge(form)
        problem = Rungs::Problem.told(form.fetch(:situation), form.fetch(:numbers))
        words = form[:words].to_s.gsub(/\s+/, " ").strip
        missing = Rungs::Problem::Story.missing_numbers(words, problem)
        if missing.any?
          refuse("The story must still say #{missing.join(' and ')}. Put the number back into the words, or change " \
                 "the numbers below")
        end
        sets = NumberSets.new(form, words).problems
        unfinished.forget
        form[:part] ? make_ready(form[:part], sets) : tell(sets)
      rescue KeyError
        refuse("Choose a situation and give its numbers")
      rescue Refusal, Rungs::Error => e
        status 422
        show(@form || {}, trouble: e.message)
      end

      post "/:room/equations" do
        @equation = checked(EquationContract)[:equation].to_s.strip
        problem = Rungs::Problem::Equation.parse(@equation).to_problem
        tell([Rungs::Activity::POSED.told(problem, "")])
      rescue Refusal, Rungs::Error => e
        @equation_trouble = e.message
        status 422
        show({ situation: "add_to.result", band: "to10" })
      end

      helpers do
        def unfinished = Records::Draft.new(person, room, "story")

        # Poses it and puts it on the board, in the part of the lesson that is going on.
        def tell(told)
          posed = room.start_lesson(today).course.tell(told)
          redirect "/listen/#{room.id}?problem=#{posed.id}"
        end

        # Keeps it for its part of a planned lesson.
        def make_ready(id, told)
          part = room.part(id) || halt(404)
          part.items.add(told)
          redirect "/lesson/#{room.id}?day=#{part.lesson.held_on}"
        end

        # The easier and the harder pair beside the draft; none where there is none.
        def beside
          random = Random.new(@draft.problem.hash)
          @beside ||= Rungs::Problem::NumberSets.for(@draft.problem, random: random).except(:middle)
        rescue Rungs::Error
          @beside = {}
        end

        # The last story posed; an equation has no situation to go on from.
        def last_posed = @last_posed ||= room.last_story

        def reading
          names = Rungs::Problem::Story::NAMES + room.children.map(&:name)
          @reading ||= Rungs::Problem::Reading.new(@draft.story.text, names: names)
        end

        def hard_to_read
          [(if reading.longest_sentence > Rungs::Problem::Reading::LONGEST
              "a sentence has #{reading.longest_sentence} words"
            end),
           ("not in the first words: #{reading.hard_words.join(', ')}" if reading.hard_words.any?)].compact.join("; ")
        end

        def show(form, trouble: nil)
          @tab, @title, @trouble = "plan", "Pose a problem", trouble
          @form = form
          @draft = draft(form)
          @posed = nil
          @margin = class_margin { |child| "/climb/#{room.id}/children/#{child.id}" } unless htmx?
          erb :"plan/pose"
        end

        def draft(form)
          posed = (room.lesson_on(today)&.problems || []).map(&:problem)
          posed += [told_before(form)].compact
          wanted = form.merge(numbers: form[:instead_of] ? nil : form[:numbers])
          Draft.make(wanted, posed: posed, recent: room.templates_since(today - 28), random: Random.new)
        rescue Rungs::Error => e
          @trouble ||= e.message
          nil
        end

        # The draft that another one is asked for instead of.
        def told_before(form)
          numbers = form[:instead_of].to_s.scan(/\d{1,3}/).map(&:to_i)
          numbers.empty? ? nil : Rungs::Problem.told(form[:situation], numbers)
        rescue Rungs::Error
          nil
        end

        def situations = DraftContract::SITUATIONS.map { |id| Rungs::Problem::Situation::ALL.fetch(id) }
      end
    end
  end
end
