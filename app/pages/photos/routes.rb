# frozen_string_literal: true

module Pages
  module Photos
    # Photos of drawings: kept with a record, shown to that class's adults only.
    class Routes < Shared::Tab
      post "/:room/records/:key" do
        form = checked(PhotoContract)
        observation = room.observations_dataset.standing.first(first_key: known_key) || halt(404)
        Records::Photo.keep(observation, Records::Photo.shrink(file), client_key: form[:client_key])
        return redirect("/listen/#{room.id}?problem=#{observation.problem_id}&child=#{observation.child_id}") unless htmx?

        partial(:"photos/_photos", photos: Records::Photo.listed.where(classroom_id: room.id, first_key: observation.first_key).all)
      rescue Records::Photo::Refused => e
        refuse(e.message)
      end

      get "/:room/:photo" do
        headers "content-type" => "image/jpeg", "cache-control" => "private, no-store", "content-disposition" => "inline"
        photo.content
      end

      post "/:room/:photo/delete" do
        child = photo.child
        photo.delete
        env["rack.session"]["note"] = "The photo is deleted."
        redirect "/climb/#{room.id}/children/#{child.id}"
      end

      helpers do
        def known_key = params[:key].match?(Shared::Contract::UUID) ? params[:key] : halt(404)
        def file = (params[:photo].is_a?(Hash) && params[:photo][:tempfile]) || refuse("Choose a photo first")
        def photo = @photo ||= (params[:photo].to_s.match?(/\A\d{1,18}\z/) && Records::Photo.first(classroom_id: room.id, id: params[:photo].to_i)) || halt(404)
      end
    end
  end
end
