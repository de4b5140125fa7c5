# frozen_string_literal: true

module Pages
  module Photos
    # Photos of drawings: kept with a record, shown to that class's adults only.
    class Routes < Shared::Tab
      needs :take_photos, see: :notes, %r{/delete\z} => :notes

      post "/:room/records/:key" do
        form = checked(PhotoContract)
        observation = room.record(known_key) || halt(404)
        Records::Photo.attach(observation, Records::Photo.shrink(file), client_key: form[:client_key])
        unless htmx?
          return redirect("/listen/#{room.id}?problem=#{observation.problem_id}&child=#{observation.child_id}")
        end

        say_kept do
          photos = Records::Photo.of_record(room, observation.first_key)
          may?(:notes) ? partial(:"photos/_photos", photos: photos) : plural(photos.size, "photo")
        end
      rescue Records::Photo::Refused => e
        refuse(e.message)
      end

      get "/:room/:photo" do
        headers "content-type" => "image/jpeg", "cache-control" => "private, no-store",
                "content-disposition" => "inline"
        photo.content
      end

      post "/:room/:photo/delete" do
        child = photo.child
        photo.delete
        visitor.note "The photo is deleted."
        redirect "/climb/#{room.id}/children/#{child.id}"
      end

      helpers do
        def known_key = params[:key].match?(Shared::Contract::UUID) ? params[:key] : halt(404)
        def file = (params[:photo].is_a?(Hash) && params[:photo][:tempfile]) || refuse("Choose a photo first")
        def photo = @photo ||= Records::Photo.find_in(room, params[:photo]) || halt(404)
      end
    end
  end
end
