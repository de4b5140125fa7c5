# frozen_string_literal: true

require "nokogiri" # before libvips, which brings another libxml
require "rack/test"
require_relative "../config/boot"
require_relative "settled_clock"

# Specs of the application, on a real database that was laid out for the run (spec/programs/lay_out.rb).
LOADER.eager_load
APP = Rack::Builder.parse_file(File.expand_path("../config.ru", __dir__))

# Signing in and sending forms as a browser does.
module AppHelper
  include Rack::Test::Methods

  PASSWORD = "harbour lanterns"

  def app = APP

  # A teacher with a class of five, and what is asked of it most.
  def make_teacher(email: "#{SecureRandom.hex(6)}@harbour.example", children: %w[Ada Bo Cleo Dag Eda])
    account = Records::Account.create(email: email, name: "Teacher")
    DB[:account_password_hashes].insert(id: account.id, password_hash: BCrypt::Password.create(PASSWORD, cost: 4))
    classroom = account.start_classroom(name: "Room 9")
    Records::Child.enrol(classroom, children) if children.any?
    [account, classroom]
  end

  def pose(classroom, numbers = [9, 5], situation: "add_to.result", day: classroom.today, at: Time.now)
    problem = Rungs::Problem.from_story(situation, numbers)
    told = Rungs::Activity::POSED.data_for(problem, "#{numbers.join(' and ')}: how many?")
    classroom.start_lesson(day).course.tell([told], at: at)
  end

  # A child of the room is heard by its teacher on numbers, or on what is posed already.
  def hear(child = room.children.first, parts = [9, 5], at: Time.now, code: "count_on", day: room.today(at), **more)
    posed = more.delete(:posed) || pose(room, parts, at: at, day: day)
    Records::Recorder.new(room, teacher[0]).record(child: child, problem: posed, code: code, happened_at: at,
                                                   client_key: SecureRandom.uuid, **more)
  end

  # Everybody counts on within ten, often enough to be ready for more.
  # @param on [Array<Date>] the days, one after the other
  def hear_everybody(room, account, on: [room.today], code: "count_on")
    recorder = Records::Recorder.new(room, account)
    4.times do |time|
      at = Time.now - 60 + time - (86_400 * (room.today - on[time * on.size / 4]).to_i)
      posed = pose(room, [4 + time, 2], at: at)
      room.children.each do |child|
        recorder.record(child: child, problem: posed, code: code, happened_at: at + 30, client_key: SecureRandom.uuid)
      end
    end
  end

  # What was answered, as its words are read: with single spaces, and none about a tag.
  def squeezed(answer = last_response)
    answer.body.gsub(/\s+/, " ").gsub("> ", ">").gsub(" <", "<")
  end

  def token = last_response.body[/name="csrf-token" content="([^"]+)"/, 1]

  # Posts with the token of the last page seen.
  def send_form(path, htmx: false, **form)
    @token = token || @token
    header "HX-Request", htmx ? "true" : nil
    post(path, form.merge(authenticity_token: @token))
    header "HX-Request", nil
    last_response
  end

  def sign_in(account, password = PASSWORD)
    get "/account/login"
    send_form "/account/login", email: account.email, password: password
    get "/account"
  end

  # What somebody else does, in a browser of their own.
  def as(account)
    clear_cookies
    sign_in account
    @token = token
    yield
  end
end

RSpec.configure do |config|
  config.include AppHelper
  config.before { header "Host", "127.0.0.1" if respond_to?(:header) }
end
