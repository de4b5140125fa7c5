# frozen_string_literal: true

module Pages
  module Schema
    # The schemas of files, for whoever reads or writes them: no class's data, and nobody has to be signed in.
    class Routes < Shared::Base
      get "/class.json" do
        headers "content-type" => "application/schema+json"
        Exchange::Archive::Schema.to_h.merge("$id" => "#{Settings.url}/schema/class.json").to_json
      end
    end
  end
end
