# frozen_string_literal: true

module Pages
  module Home
    # The bare address leads to Today of the first class.
    class Routes < Shared::Base
      get "/" do
        halt 404 unless person
        invited = visitor.take_invitation
        redirect "/invite/#{invited}" if invited
        own, coached = person.own_classes.first, person.coached
        redirect "/today/#{own.id}" if own
        redirect coached.any? ? "/coach" : "/account"
      end
    end
  end
end
