# frozen_string_literal: true

require "etc"
require "fileutils"
require "shellwords"

# A program that runs as its systemd unit says, for as long as whoever started it.
class Program
  attr_reader :name, :pid

  # @param unit [String] the text of a unit
  # @param user [String, nil] whom it runs as; nil for who asks
  # @param log [String] a path
  def initialize(name, unit, log:, user: nil)
    @name, @log, @user = name, log, user
    @said = unit.scan(/^(\w+)=(.*)$/).to_h
  end

  # @return [Integer] its process
  def start
    how = { out: [@log, "a"], err: %i[child out], chdir: @said.fetch("WorkingDirectory", "/"), pgroup: true }
    @pid = spawn(environment, *as_user, *@said.fetch("ExecStart").shellsplit, unsetenv_others: true, **how)
  end

  # Whether it has ended by itself.
  def ended?
    @pid.nil? || !Process.wait(@pid, Process::WNOHANG).nil?
  rescue Errno::ECHILD
    true
  end

  def ask_to_end
    Process.kill(@said.fetch("KillSignal", "SIGTERM"), @pid) if @pid
  rescue Errno::ESRCH
    nil
  end

  # Waits as long as its unit gives it.
  def end
    until_ = now + Integer(@said.fetch("TimeoutStopSec", "10"))
    sleep 0.1 until ended? || now > until_
    Process.kill(:KILL, -@pid)
  rescue Errno::ESRCH, Errno::EPERM
    nil
  ensure
    @pid = nil
  end

  private

  def now = Process.clock_gettime(Process::CLOCK_MONOTONIC)

  # It ends when who started it is gone.
  def as_user
    ["setpriv", *(["--reuid", @user, "--regid", @user, "--init-groups"] if @user), "--pdeathsig", "TERM", "--"]
  end

  def environment
    home = @user ? Etc.getpwnam(@user).dir : Dir.home
    kept = ENV.slice("PATH", "LANG", "LD_PRELOAD", "PG_BIN", "BUNDLE_APP_CONFIG").merge("HOME" => home)
    file = @said["EnvironmentFile"]
    file ? kept.merge(File.read(file).scan(/^(\w+)=(.*)$/).to_h) : kept
  end
end
