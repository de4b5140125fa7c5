# frozen_string_literal: true

module Pages
  module Board
    # The problem, full screen, with no names: a picture to show and cover, and the number sentence when asked for.
    class Routes < Shared::Tab
      set :erb, escape_html: true, layout: :"board/layout"

      get "/:room" do
        posed = params[:problem] ? (room.problem(params[:problem]) || halt(404)) : room.current_problem
        return erb(:"board/nothing") unless posed

        @posed = posed
        @problem = posed.problem
        @siblings = posed.lesson.problems_dataset.select_map(:id)
        erb :"board/board"
      end

      helpers do
        def beside(step)
          place = @siblings.index(@posed.id) + step
          place.between?(0, @siblings.size - 1) ? "/board/#{room.id}?problem=#{@siblings[place]}" : nil
        end

        def pictures = @pictures ||= Pictures.of(@problem, thing: thing)
        def ways = @ways ||= Pictures.ways(@problem, thing: thing)
        def thing = @posed.template.to_s.split("/").first || "counter"

        # Each sentence on a line, as it is read aloud.
        def sentences = @posed.words.split(/(?<=[.?!]) /)
      end
    end
  end
end
