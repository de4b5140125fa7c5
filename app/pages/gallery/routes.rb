# frozen_string_literal: true

module Pages
  module Gallery
    # Every picture in every state, kind by kind, for looking at. Only where the server was started with the demo class.
    class Routes < Shared::Base
      get("/:kind?") { show gallery }

      get "/:kind/:number.:as" do
        type = Drawings::PictureFile::TYPES[params[:as]] || halt(404)
        layout = gallery.all[Integer(params[:number], 10, exception: false) || halt(404)] || halt(404)
        as_file "#{params[:kind]}.#{params[:as]}", type
        Drawings::PictureFile.make([layout], params[:as])
      end

      helpers do
        def gallery
          halt 404 unless Settings.demo_offer? && person
          kinds = Rungs::Picture::KINDS
          Page.new(visitor, kind: kinds[params[:kind] || kinds.ids.first] || halt(404))
        end
      end
    end
  end
end
