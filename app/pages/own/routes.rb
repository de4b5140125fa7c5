# frozen_string_literal: true

module Pages
  module Own
    # What teachers write themselves: kept on the class's shelf, taken into a lesson, shared as a file.
    class Routes < Shared::Tab
      needs :plan, see: :see_plan

      helpers Shared::IntoLesson

      PART = %w[title minutes lines sentences picture bring caution].freeze
      WORD = %w[one many most drawing where name slip words].freeze

      before("/:room/?*") { @form = checked(OwnContract) }

      get("/:room") { show Page.new(visitor, **@form) }

      # The file for a colleague.
      get "/:room/file" do
        note_act("taken_out", room)
        as_file("own.json", "application/json")
        JSON.pretty_generate(Exchange::Archive.of(room, Exchange::Archive::Holding.own))
      end

      get("/:room/parts") { show PartPage.new(visitor, **@form) }
      get("/:room/parts/:own") { show PartPage.new(visitor, own: own("part"), **@form) }
      get("/:room/lesson/:part") { show PartPage.new(visitor, part: lesson_part, **@form) }

      # A part that is written, onto the shelf.
      post "/:room/parts" do
        written = Rungs::Own.read("part", typed(PART))
        kept = Records::Own.store(room, written)
        %w[take now].include?(@form[:do]) ? take(kept.written) : redirect(here)
      rescue Rungs::Error => e
        again(e)
      end

      # Changed on the shelf, taken into a lesson, or out.
      post "/:room/parts/:own" do
        kept = own("part")
        case @form[:do]
        when "take", "now" then take(kept.written)
        when "out" then take_out(kept)
        else
          kept.change(Rungs::Own.read("part", typed(PART)))
          redirect here
        end
      rescue Rungs::Error => e
        again(e, own: kept)
      end

      # A part of a lesson: only there, or on the shelf as well.
      post "/:room/lesson/:part" do
        part, written = lesson_part, Rungs::Own.read("part", typed(PART))
        refuse("That part has begun; it stays as it is") if part.begun?
        on_shelf(part, written) if @form[:do] == "shelf"
        part.write(written)
        redirect "/lesson/#{room.id}?day=#{part.lesson.held_on}"
      rescue Rungs::Error => e
        again(e, part: part)
      end

      # A word is looked at in three stories, then kept; a question is kept.
      post "/:room/words" do
        written = Rungs::Own.read(@form[:kind] || refuse("Choose what it is"), typed(WORD))
        next show(Page.new(visitor, look: written, typed: typed(WORD), **@form)) if @form[:do] == "look"

        @form[:kind] == "question" ? Records::Own.ask(room, written) : Records::Own.store(room, written)
        redirect "#{here}##{@form[:kind]}"
      rescue Rungs::Error => e
        status 422
        show Page.new(visitor, trouble: sentence(e), typed: typed(WORD), **@form)
      end

      post("/:room/words/:own") { take_out(own(@form[:kind])) }

      # Undoes taking something out.
      post "/:room/back/:own" do
        own(@form[:kind]).put_back
        redirect "#{here}##{@form[:kind]}"
      end

      helpers do
        def here = "/own/#{room.id}"
        def typed(fields) = params.slice(*fields).transform_values { |each| each.is_a?(String) ? each : "" }
        def sentence(error) = "#{Rungs.capital(error.message)}."

        # @return [Records::Own] of this class
        def own(kind)
          id = params[:own][/\A\d{1,17}\z/]&.to_i
          Records::Own.first(id: id, classroom_id: room.id, kind: kind) || halt(404)
        end

        def lesson_part
          part = room.part(params[:part])
          part&.details&.own ? part : halt(404)
        end

        def again(error, **where)
          status 422
          show PartPage.new(visitor, typed: typed(PART), trouble: sentence(error), **where, **@form)
        end

        def on_shelf(part, written)
          before = Records::Own.of(room, "part").find { |each| each.content.to_h == part.details.own }
          before ? before.change(written) : Records::Own.store(room, written)
        end

        def take(written)
          into_lesson(Rungs::Activity::OWN, day: @form[:day] || coming_day, now: @form[:do] == "now",
                                            title: written.title, minutes: written.minutes,
                                            details: Records::Details.own(written))
        end

        def take_out(kept)
          kept.take_out
          visitor.note("#{kept.written.said} is taken out.", undo: "#{here}/back/#{kept.id}?kind=#{kept.kind}")
          redirect "#{here}##{kept.kind}"
        end
      end
    end
  end
end
