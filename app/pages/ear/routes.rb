# frozen_string_literal: true

module Pages
  module Ear
    # Training the ear, alone: twelve clips, after each what it was and why.
    class Routes < Shared::Base
      before { halt 404 unless person }

      get("/") { show Page.new(visitor) }
      get("/clip") { ear.now ? show(ClipPage.new(visitor)) : redirect("/ear/") }

      post "/next" do
        ear.go_on
        redirect "/ear/clip"
      end

      post "/clip" do
        ear.answer(checked(HeardContract)[:code])
        redirect "/ear/clip"
      end

      # Whether others of one's classes see the figures, and whether clips are read aloud.
      post "/choices" do
        form = checked(ChoicesContract)
        ear.choose(shared: form[:shared] == true, aloud: form[:aloud] == true)
        ear.count(form[:counts] == true)
        redirect "/ear/"
      end

      helpers { def ear = @ear ||= Records::Ear.new(person) }
    end
  end
end
