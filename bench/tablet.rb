# frozen_string_literal: true

require "net/http"
require "openssl"

# A teacher at a tablet: signed in by the form, as a browser does.
class Tablet
  # Seconds in the server, of every answer that was timed.
  attr_reader :server, :headers

  # @param port [Integer]
  # @param secure [Boolean] by HTTPS, whoever made its certificate
  def initialize(port, secure: false)
    @port = port
    @secure = secure
    @headers = {}
    @server = []
    connect
  end

  def connect
    @http = Net::HTTP.new("127.0.0.1", @port).tap { |http| http.keep_alive_timeout = 60 }
    @http.use_ssl, @http.verify_mode = @secure, OpenSSL::SSL::VERIFY_NONE
    @http.max_retries = 0
    @http.start
  rescue Errno::ECONNREFUSED
    sleep 0.05
    retry
  end

  def enter(email, password)
    form = get("/account/login")
    post("/account/login", "email" => email, "password" => password, "authenticity_token" => token_of(form))
    token = token_of(get("/account"))
    @headers.update("X-CSRF-Token" => token, "HX-Request" => "true") if token
  end

  def get(path) = remember(@http.get(path, @headers)).body
  def post(path, form) = remember(@http.post(path, URI.encode_www_form(form), @headers))

  # Whatever it is.
  # @return [Array(Integer, Float)] status, seconds
  def ask(verb, path, form, more = {})
    start = Process.clock_gettime(Process::CLOCK_MONOTONIC)
    headers = { "Content-Type" => "application/x-www-form-urlencoded", **@headers, **more }
    headers["Cookie"] = "#{@headers['Cookie']}; #{more['Cookie']}" if more.key?("Cookie")
    answer = @http.send_request(verb, path, form, headers)
    [answer.code.to_i, Process.clock_gettime(Process::CLOCK_MONOTONIC) - start]
  end

  # Another window of the same person.
  def another = Tablet.new(@port, secure: @secure).tap { |tablet| tablet.headers.update(@headers) }

  # What the server says as it comes, line by line, for as long as the block wants.
  # @yield [String] → whether that was enough
  def follow(path)
    socket = open_socket
    socket.write("GET #{path} HTTP/1.1\r\nHost: 127.0.0.1:#{@port}\r\nCookie: #{@headers['Cookie']}\r\n\r\n")
    while (line = socket.gets)
      break if yield(line)
    end
  ensure
    socket&.close
  end

  private

  def open_socket
    plain = TCPSocket.open("127.0.0.1", @port)
    return plain unless @secure

    OpenSSL::SSL::SSLSocket.new(plain).tap do |socket|
      socket.sync_close = true
      socket.connect
    end
  end

  def token_of(page) = page[/name="csrf-token" content="([^"]+)"/, 1]

  def remember(answer)
    @server << answer["x-runtime"].to_f
    cookies = answer.get_fields("set-cookie").to_a.map { |each| each[/\A[^;]+/] }
    @headers["Cookie"] = cookies.join("; ") if cookies.any?
    answer
  end
end

# @return [Float] milliseconds
def percentile(times, share) = times.sort[((times.size - 1) * share).round] * 1000
