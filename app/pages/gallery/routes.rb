# frozen_string_literal: true

module Pages
  module Gallery
    # Every picture in every state, kind by kind, for looking at. Only where the server was started with the demo class.
    class Routes < Shared::Base
      get "/:kind?" do
        halt 404 unless Settings.demo_offer? && person
        kinds = Rungs::Picture::KINDS
        show Page.new(self, kind: kinds[params[:kind] || kinds.ids.first] || halt(404))
      end
    end
  end
end
