# frozen_string_literal: true

# The server as a process of its own, with what was loaded before; it ends when whoever watches over it is gone.
module Server
  # Seconds it is given to end what is under way.
  PATIENCE = 8

  module_function

  # @param lock [File] what says that Rungs runs from here: not the server’s to hold
  # @yield in the server, once it answers
  # @return [Integer] its process
  def start(lock, var, &block)
    watching = Process.pid
    fork do
      lock.close
      File.umask(0o077)
      run(Log.new(File.join(var, "puma.log")), watching, &block)
    end
  end

  def stop(pid)
    Process.kill(:TERM, pid)
    (PATIENCE * 10).times { Process.wait(pid, Process::WNOHANG) ? return : sleep(0.1) }
    Process.kill(:KILL, pid) && Process.wait(pid)
  rescue Errno::ESRCH, Errno::ECHILD
    nil
  end

  def run(log, watching, &)
    %w[puma puma/configuration puma/launcher].each { |part| require part }
    config = Puma::Configuration.new(config_files: [File.join(__dir__, "../puma.rb")])
    launcher = Puma::Launcher.new(config, log_writer: Puma::LogWriter.new(log, log))
    launcher.events.after_booted(&)
    Thread.new do
      sleep 0.5 while Process.ppid == watching
      launcher.stop
    end
    launcher.run
    Ending.now
    DB.disconnect
  end

  # What Puma writes to, from signals too, which no lock may wait for. Once it is long it becomes the older one.
  class Log
    LONGEST = 2_000_000

    def initialize(path)
      @path = path
      @file = File.open(path, "a", 0o600)
      @file.chmod(0o600)
    end

    def write(text)
      turn if @file.size > LONGEST
      @file.syswrite(text)
    end

    def puts(*lines) = lines.each { |line| write("#{line}\n") }
    def flush = self
    def sync = true
    def close = self

    private

    def turn
      File.rename(@path, "#{@path}.1")
      @file.reopen(@path, "a")
    end
  end
end
