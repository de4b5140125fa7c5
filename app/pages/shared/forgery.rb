# frozen_string_literal: true

require "rack/protection"

module Pages
  module Shared
    # Every form and every htmx request carries a token of its session; one without it is refused.
    class Forgery < Rack::Protection::AuthenticityToken
      def default_reaction(_env) = ErrorPages.page(403)
    end
  end
end
