# frozen_string_literal: true

require "tmpdir"

# What a server counts for Prometheus, where RUNGS_METRICS says at which address of its own that is asked for
# ("127.0.0.1:9460"). Kept in files for as long as the server runs, since each of its processes counts for itself.
module Metrics
  # Upper ends, in seconds.
  STEPS = [0.005, 0.01, 0.025, 0.05, 0.1, 0.25, 0.5, 1, 2.5, 5, 10, 20].freeze

  module_function

  # @return [String, nil] host and port
  def address = ENV.fetch("RUNGS_METRICS", nil)
  def port = address.to_s[/\d+\z/].to_i

  def start
    require "prometheus/client"
    require "prometheus/client/data_stores/direct_file_store"
    require "prometheus/client/formats/text"
    own, @folder = Process.pid, Dir.mktmpdir("rungs-metrics")
    at_exit { FileUtils.rm_rf(@folder) if Process.pid == own }
    store = Prometheus::Client::DataStores::DirectFileStore
    Prometheus::Client.config.data_store = store.new(dir: @folder)
    @all, @standby = Prometheus::Client::Registry.new, nil
    make
  end

  def make
    @requests = @all.counter(:rungs_requests_total, docstring: "Requests answered", labels: %i[route status])
    @seconds = @all.histogram(:rungs_request_seconds, docstring: "Until an answer", labels: %i[route], buckets: STEPS)
    @database = @all.histogram(:rungs_database_seconds, docstring: "Of it in the database", buckets: STEPS)
    @waited = @all.counter(:rungs_taps_waited_total, docstring: "Taps that waited on a tablet for five seconds or more")
    @reads = @all.counter(:rungs_reads_total, docstring: "Pages that may be read beside", labels: %i[from])
    @streams = gauge(:rungs_streams, "Open windows of lessons", aggregation: :sum)
    @jobs = gauge(:rungs_jobs, "Work beside the server", labels: %i[state])
  end
  private_class_method :make

  def gauge(name, docstring, labels: [], aggregation: :most_recent)
    @all.gauge(name, docstring: docstring, labels: labels, store_settings: { aggregation: aggregation })
  end
  private_class_method :gauge

  def request(route, status, seconds, database)
    return unless @all

    @requests.increment(labels: { route: route, status: status })
    @seconds.observe(seconds, labels: { route: route })
    @database.observe(database)
  end

  def tap_waited = @waited&.increment
  def read_from(server) = @reads&.increment(labels: { from: server })
  def streams(number) = @streams&.set(number)

  # @param jobs [Hash{String => Integer}] how many of each state
  # @param behind [Float, nil] seconds
  # @return [String] all of it, as Prometheus reads it
  def text(jobs:, behind:)
    jobs.each { |state, many| @jobs.set(many, labels: { state: state }) }
    standby.set(behind) if behind
    forget_ended
    Prometheus::Client::Formats::Text.marshal(@all)
  end

  # Not there before it is known.
  def standby = @standby ||= gauge(:rungs_standby_behind_seconds, "How far the standby that is read is behind")
  private_class_method :standby

  # Windows of a process that has ended are open no more.
  def forget_ended
    Dir[File.join(@folder, "*rungs_streams___*")].each do |file|
      File.delete(file) unless File.exist?("/proc/#{file[/(\d+)\.bin\z/, 1]}")
    end
  end
  private_class_method :forget_ended
end
