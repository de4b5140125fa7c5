# frozen_string_literal: true

class Start
  # The server, the worker and the database, each started again where it ends by itself.
  module Watch
    # Seconds between two looks at the database and the server; how often in a row a server may end in its first
    # seconds.
    WATCH = 0.5

    FIRST = 1.5
    MOST_ENDS = 5

    private

    def start_server(greeting: false)
      @since = Time.now
      @server = Server.start(@lock, VAR) { greet if greeting }
    end

    def watch
      sleep WATCH
      return if @ending

      watch_server
      watch_worker
      watch_database
    rescue Cluster::Failure => e
      # It may still be ending; tried again at the next look.
      puts e.message if e.message.include?("disk") && @said != e.message
      @said = e.message
    end

    def watch_server
      return unless Process.wait(@server, Process::WNOHANG)

      @server = nil
      @ends = Time.now - @since < FIRST ? @ends + 1 : 0
      raise Stop, "The server ends again and again. #{VAR}/puma.log may say why." if @ends == MOST_ENDS

      puts "The server has ended. Starting it again …"
      start_server
    end

    def watch_worker
      @worker = Worker.start(@lock) if Process.wait(@worker, Process::WNOHANG)
    end

    # What is asked while it starts is told to wait a moment.
    def watch_database
      return if @cluster.nil? || @cluster.answers?

      puts "The database has ended. Starting it again …"
      @cluster.start("rungs")
    end
  end
end
