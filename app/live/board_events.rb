# frozen_string_literal: true

module Live
  # Carries changes of a board to the windows that show it: PostgreSQL's NOTIFY, so that it works across server
  # processes, then server-sent events. One thread listens for the whole process; the sockets are taken from the web
  # server, so that an open board costs no request thread. A window that comes back asks again and is told the newest
  # version at once.
  class BoardEvents
    # Seconds; each beat says the version again, so that a window that missed one catches up.
    HEARTBEAT = 5

    # Windows that may show one lesson, and all there may be in this process.
    MOST, MOST_HERE = 20, 400

    HEADERS = { "content-type" => "text/event-stream; charset=utf-8", "cache-control" => "no-store",
                "x-accel-buffering" => "no" }.freeze

    class << self
      # @param lesson [Records::Lesson]
      # @return [Array] a Rack response that stays open
      def response(lesson)
        id, version = lesson.id, lesson.board_version
        return [200, HEADERS, ["event: full\ndata: #{MOST}\n\n"]] if instance.full?(id)

        # The body is no Array, so that nobody gives it a length: it has no end.
        [200, HEADERS.merge("rack.hijack" => ->(socket) { instance.add(id, socket, version) }), [].each]
      end

      def instance = @instance ||= new
    end

    def initialize
      @sockets = Hash.new { |all, id| all[id] = [] }
      @lock = Mutex.new
    end

    # @param version [Integer] what the window is told first
    def add(id, socket, version)
      @lock.synchronize do
        @sockets[id] << socket
        @listener ||= Thread.new { listen }
      end
      write(id, socket, event(version))
    end

    # Ends the listening and lets all windows go; they ask again by themselves.
    def stop
      @listener&.kill&.join(2)
      @lock.synchronize { @sockets.keys }.each { |id| sockets(id).each(&:close) }
    end

    # How many windows show that lesson here.
    def size(id) = @lock.synchronize { @sockets.fetch(id, []).size }

    # Whether one window more would be too many.
    def full?(id) = size(id) >= MOST || @lock.synchronize { @sockets.sum { |_, open| open.size } } >= MOST_HERE

    private

    # Comes back by itself when the database was away, and then tells every window, since something may have been
    # missed.
    def listen
      loop do
        DB.listen(Records::Lesson::CHANNEL, loop: ->(_) { tell_all }, timeout: HEARTBEAT, after_listen: ->(_) { tell_all }) { |_, _, payload| tell(payload.to_i) }
      rescue Sequel::DatabaseError, PG::Error
        sleep 1
      end
    end

    def tell(id)
      version = Records::Lesson.where(id: id).get(:board_version)
      sockets(id).each { |socket| write(id, socket, event(version)) }
    end

    def tell_all = @lock.synchronize { @sockets.reject { |_, open| open.empty? }.keys }.each { |id| tell(id) }
    def sockets(id) = @lock.synchronize { @sockets.fetch(id, []).dup }
    def event(version) = "id: #{version}\ndata: #{version}\n\n"

    # A window that is gone, or so slow that its socket is full, is let go; it comes back by itself.
    def write(id, socket, text)
      socket.write_nonblock(text)
    rescue IOError, SystemCallError
      @lock.synchronize { @sockets[id].delete(socket) }
      begin
        socket.close
      rescue IOError, SystemCallError
        nil
      end
    end
  end
end
