# frozen_string_literal: true

class Disturbed
  # Teachers who record, somebody who looks at pages, a board that follows.
  module Load
    private

    # @param least [Integer] records that are to be acknowledged meanwhile
    # @return [Noticed]
    def under_load(least: 0)
      @kept, @failed, @going = Queue.new, Queue.new, true
      @times = Queue.new
      doing = [*@tappers.map { |tapper| Thread.new { tap_on(tapper) } }, Thread.new { look_on }]
      board = Thread.new { follow_board }
      sleep CALM
      yield
      sleep CALM
      sleep 0.1 while @kept.size < least
      @going = false
      doing.each(&:join)
      noticed(board.value)
    ensure
      @going = false
    end

    def tap_on(tapper)
      while @going
        key = tapper.keep_one(@tappers.size / RATE)
        @kept << key
        @times << now
      end
    end

    # Somebody who looks at pages and takes what comes.
    def look_on
      tablet = @tappers.first.another
      pages = %W[/climb/#{@tappers.first.room.id} /listen/#{@tappers.first.room.id} /account/login]
      while @going
        pages.each { |page| look_at(tablet, page) }
        sleep 0.1
      end
    end

    def look_at(tablet, page)
      status, = tablet.ask("GET", page, nil)
      @failed << [page, status] unless [200, 302].include?(status)
    rescue SystemCallError, IOError, Timeout::Error, Net::HTTPBadResponse, OpenSSL::SSL::SSLError => e
      @failed << [page, e.class]
      tablet.connect
    end

    # A window that comes back by itself, as a browser’s does.
    # @return [Float] the longest time in seconds without a word
    def follow_board
      room, lesson = @tappers.first.room, @tappers.first.posed.lesson_id
      heard, longest = now, 0
      while @going
        follow_once("/board/#{room.id}/lessons/#{lesson}/events") do
          longest, heard = [longest, now - heard].max, now
          !@going
        end
        sleep 0.2
      end
      longest
    end

    def follow_once(path, &)
      @tappers.first.another.follow(path, &)
    rescue SystemCallError, IOError, OpenSSL::SSL::SSLError
      nil
    end

    def noticed(board)
      keys, times = drained(@kept), drained(@times).sort
      there = there(keys)
      Noticed.new(keys: keys, gap: times.each_cons(2).map { |one, next_one| next_one - one }.max, board: board,
                  failed: drained(@failed), lost: keys.count { |key| !there.key?(key) },
                  doubled: there.values.count { |times_there| times_there > 1 })
    end

    def drained(queue) = Array.new(queue.size) { queue.pop }
  end
end
