# frozen_string_literal: true

module Pages
  module Photos
    # A photo that is sent; the file itself is looked at by what is in it.
    class PhotoContract < Shared::Contract
      params { required(:client_key).filled(:string, format?: UUID) }
    end
  end
end
