# frozen_string_literal: true

module Pages
  module Home
    # The bare address leads to Today of the first class.
    class Routes < Shared::Base
      get "/" do
        halt 404 unless person
        classroom = person.classrooms.first
        redirect classroom ? "/today/#{classroom.id}" : "/account"
      end
    end
  end
end
