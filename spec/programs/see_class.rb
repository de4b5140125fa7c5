# frozen_string_literal: true

# What a teacher sees of the only class of a database, brought up to date first: its pages as text, as JSON. For
# spec/app/old_databases_spec.rb, which runs it in a process of its own.
require "nokogiri"
require "rack/test"
require_relative "../../config/boot"

Database.migrate
LOADER.eager_load
app = Rack::Builder.parse_file(File.expand_path("../../config.ru", __dir__))
teacher = Rack::Test::Session.new(app)
password = "harbour lanterns"
hash = BCrypt::Password.create(password, cost: 4)
DB[:account_password_hashes].insert(id: DB[:accounts].get(:id), password_hash: hash)
teacher.header "Host", "127.0.0.1"
teacher.get "/account/login"
token = teacher.last_response.body[/name="csrf-token" content="([^"]+)"/, 1]
teacher.post "/account/login", authenticity_token: token, email: DB[:accounts].get(:email), password: password

room = Records::Classroom.first
children = room.children.flat_map do |child|
  ["/climb/#{room.id}/children/#{child.id}", "/notes/#{room.id}/#{child.id}"]
end
lessons = DB[:lessons].order(:held_on).select_map(:held_on).map { |day| "/lesson/#{room.id}?day=#{day}" }
problems = DB[:problems].order(:id).select_map(:id).map { |id| "/listen/#{room.id}?problem=#{id}" }
tabs = %w[today plan board listen climb sheets back week groups numbers].map { |tab| "/#{tab}/#{room.id}" }
seen = [*tabs, *children, *lessons, *problems].to_h do |path|
  teacher.get path
  teacher.follow_redirect! while teacher.last_response.redirect?
  [path, [teacher.last_response.status, Nokogiri::HTML5(teacher.last_response.body).text.gsub(/\s+/, " ")]]
end
items = Records::Lesson.flat_map { |lesson| lesson.course.parts }.to_h do |part|
  [part.id, Array.new(part.items.size) { |place| part.items.item(place).ask }]
end
puts JSON.generate(pages: seen, items: items)
