# frozen_string_literal: true

require "json"

module Live
  # Carries what happens in a lesson to its windows: that its board has changed, and to its own people what was heard.
  # PostgreSQL's NOTIFY, so that it works across server processes, then server-sent events. One thread listens for the
  # whole process; the sockets are taken from the web server, so that an open window costs no request thread. A window
  # that comes back asks again and is told the newest version at once.
  class LessonEvents
    # Seconds; each beat says the version again, so that a window that missed one catches up.
    HEARTBEAT = 5

    # Windows that may show one lesson, and all there may be in this process.
    MOST = 20
    MOST_HERE = 400

    HEADERS = { "content-type" => "text/event-stream; charset=utf-8", "cache-control" => "no-store",
                "x-accel-buffering" => "no" }.freeze
    CHANNELS = [Records::Lesson::CHANNEL, Records::Observation::CHANNEL, Records::Membership::CHANNEL].freeze

    # One that is open. own: the account of one of the lesson's people, or true for a substitute; nil for a board opened
    # by its code.
    Window = Struct.new(:socket, :own, keyword_init: true)

    class << self
      # @param lesson [Records::Lesson]
      # @param own [Integer, true, nil] whose window it is, of the lesson's people: it always finds room
      # @return [Array] a Rack response that stays open
      def response(lesson, own: nil)
        id, version = lesson.id, lesson.board_version
        return [200, HEADERS, ["event: full\ndata: #{MOST}\n\n"]] unless instance.room?(id, own: own)

        # The body is no Array, so that nobody gives it a length: it has no end.
        [200, HEADERS.merge("rack.hijack" => ->(socket) { instance.add(id, socket, version, own: own) }), [].each]
      end

      def instance = @instance ||= new
    end

    def initialize
      @windows = Hash.new { |all, id| all[id] = [] }
      @lock = Mutex.new
    end

    # @param version [Integer] what the window is told first
    def add(id, socket, version, own: nil)
      window = Window.new(socket: socket, own: own)
      @lock.synchronize do
        @windows[id] << window
        @listener ||= Thread.new { listen }
      end
      counted
      write(window, event(version))
    end

    # Ends the listening and lets all windows go; they ask again by themselves.
    def stop
      @listener&.kill&.join(2)
      @lock.synchronize { @windows.keys }.each { |id| windows(id).each { |window| window.socket.close } }
    end

    # How many windows show that lesson here.
    def size(id) = windows(id).size

    # Whether one window more may be opened. One of the lesson's people takes the place of a board opened by its code.
    def room?(id, own: nil)
      return true if size(id) < MOST && all.size < MOST_HERE

      given_up = (windows(id) + all).find { |window| !window.own } if own
      given_up ? let_go(given_up) : false
    end

    private

    # Comes back by itself when the database was away, and then tells every window, since something may have been
    # missed.
    def listen
      loop do
        again = { loop: ->(_) { tell_all }, after_listen: ->(_) { tell_all }, timeout: HEARTBEAT }
        LISTENING.listen(CHANNELS, **again) { |channel, _, payload| pass_on(channel.to_sym, payload) }
      rescue Sequel::DatabaseError, PG::Error
        sleep 1
      end
    end

    def pass_on(channel, payload)
      case channel
      when Records::Lesson::CHANNEL then tell(payload.to_i)
      when Records::Membership::CHANNEL then end_for(payload.to_i)
      else tell_heard(JSON.parse(payload))
      end
    end

    # Somebody does not belong to a class any more: every window of theirs asks again, and finds what is still theirs.
    def end_for(account_id) = all.select { |window| window.own == account_id }.each { |window| let_go(window) }

    def tell(id)
      version = Records::Lesson.where(id: id).get(:board_version)
      windows(id).each { |window| write(window, event(version)) }
    end

    # @param heard [Hash] lesson, problem, child and key of a record, and what made it so; or whom somebody has open
    def tell_heard(heard)
      id = heard.fetch("lesson")
      text = "event: #{heard.key?('open') ? 'opened' : 'heard'}\ndata: #{heard.except('lesson').to_json}\n\n"
      windows(id).select(&:own).each { |window| write(window, text) }
    end

    def tell_all = @lock.synchronize { @windows.reject { |_, open| open.empty? }.keys }.each { |id| tell(id) }
    def windows(id) = @lock.synchronize { @windows.fetch(id, []).dup }
    def all = @lock.synchronize { @windows.values.flatten }
    def event(version) = "id: #{version}\ndata: #{version}\n\n"

    # A window that is gone, or so slow that its socket is full, is let go; it comes back by itself.
    def write(window, text)
      window.socket.write_nonblock(text)
    rescue IOError, SystemCallError
      let_go(window)
    end

    def counted = Metrics.streams(all.size)

    # @return [true]
    def let_go(window)
      @lock.synchronize { @windows.each_value { |open| open.delete_if { |each| each.equal?(window) } } }
      counted
      window.socket.close
      true
    rescue IOError, SystemCallError
      true
    end
  end
end
