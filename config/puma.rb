# frozen_string_literal: true

require_relative "drain"
require_relative "in_use"
require_relative "log"
require_relative "settings"

threads_count = Integer(ENV.fetch("RUNGS_THREADS", "3"))
threads threads_count, threads_count
drain = Drain.seconds
# As many processes as bin/start finds cores and memory for; by itself one, in this process.
processes = Integer(ENV.fetch("RUNGS_WORKERS", "1"))
if processes > 1
  workers processes
  preload_app!
  before_fork { DB.disconnect }
  before_worker_boot do
    Drain.only_asked
    InUse.hold
  end
  before_worker_shutdown { Ending.now }
else
  after_booted { InUse.hold }
end
if drain.positive?
  after_booted { Drain.on_term }
  drain_on_shutdown
end
host = ENV.fetch("RUNGS_HOST", "127.0.0.1")
host = "[#{host}]" if host.include?(":")
address = "#{host}:#{ENV.fetch('RUNGS_PORT', '4600')}"
cert, key = ENV.values_at("RUNGS_CERT", "RUNGS_KEY")
metrics = ENV.fetch("RUNGS_METRICS", nil)
bind "tcp://#{metrics}" if metrics
bind cert ? "ssl://#{address}?#{URI.encode_www_form(cert: cert, key: key)}" : "tcp://#{address}"
environment "production"
log_formatter { |words| Log.text(says: words) } if Log.lines?
rackup File.expand_path("../config.ru", __dir__)
raise_exception_on_sigterm false
# Ending waits for what is under way, but not for long; a server among others for all of it.
force_shutdown_after drain.positive? ? 25 : 4
# Of the largest file with its form, and as much again, so that a page says that a file is too large.
http_content_length_limit 2 * Settings::LARGEST_FILE
