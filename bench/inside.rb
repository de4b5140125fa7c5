# frozen_string_literal: true

require "bcrypt"
require "rack"
require_relative "statements"

# A signed-in browser that asks the application in this process, so that its statements can be counted and its time is
# the server's alone.
class Inside
  PASSWORD = "a year of records"

  # @return [Object] the application as it is served
  def self.app
    LOADER.eager_load
    Rack::Builder.parse_file(File.expand_path("../config.ru", __dir__))
  end

  def initialize(app, account)
    @app = app
    hash = BCrypt::Password.create(PASSWORD, cost: 4)
    DB[:account_password_hashes].insert_conflict(target: :id, update: { password_hash: hash })
                                .insert(id: account.id, password_hash: hash)
    @token = token_of(get("/account/login", expect: 200))
    post("/account/login", { email: account.email, password: PASSWORD }, expect: 302)
    @token = token_of(get("/account", expect: 200))
  end

  # @return [Rack::MockResponse]
  def get(path, expect: 200) = ask("GET", path, {}, expect)
  # @return [Integer] as what it is answered
  def status(path) = ask("GET", path, {}, nil).status
  def post(path, form, expect: 200, **headers) = ask("POST", path, form, expect, **headers)

  private

  def token_of(answer) = answer.body[/name="csrf-token" content="([^"]+)"/, 1]

  def ask(verb, path, form, expect, **headers)
    env = { "HTTP_HOST" => "127.0.0.1", "HTTP_COOKIE" => @cookie.to_s, "HTTP_X_CSRF_TOKEN" => @token.to_s, **headers }
    answer = Rack::MockRequest.new(@app).request(verb, path, params: form, **env)
    abort "#{path} answered #{answer.status} #{answer.headers['location']}" unless [nil, answer.status].include?(expect)
    cookies = Array(answer.headers["set-cookie"]).flat_map { |each| each.split("\n") }.map { |each| each[/\A[^;]+/] }
    @cookie = cookies.join("; ") if cookies.any?
    answer
  end
end
