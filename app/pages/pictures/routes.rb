# frozen_string_literal: true

module Pages
  module Pictures
    # Pictures as files: what stands on the board, and any step of any item.
    class Routes < Shared::Tab
      needs :see_plan

      get "/:room/board.:as" do
        lesson = room.lesson_on(today) || halt(404)
        state = lesson.on_board || refuse("There is nothing on the board")
        sent_as "board", [state.layout, state.second].compact
      end

      get "/:room/:part/:item/:step.:as" do
        part = room.part(params[:part]) || halt(404)
        step = part.items.item(number(:item)).steps[number(:step)] if number(:item) <= part.items.last
        halt 404 unless step
        sent_as "#{part.kind}-#{number(:item) + 1}-#{number(:step) + 1}", [step.layout, step.beside].compact
      end

      helpers do
        def number(name) = params[name].match?(/\A\d{1,3}\z/) ? params[name].to_i : halt(404)

        def sent_as(name, layouts)
          type = Drawings::PictureFile::TYPES[params[:as]] || halt(404)
          as_file "#{name}.#{params[:as]}", type
          Drawings::PictureFile.make(layouts, params[:as])
        end
      end
    end
  end
end
