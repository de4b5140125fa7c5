# frozen_string_literal: true

# Work that takes long or that nobody waits for: each kind an entry, done by one process beside the server (Jobs::Worker);
# where none runs, at once.
module Jobs
  ALL = { "sheet" => "Sheet", "pack" => "Pack" }.freeze

  module_function

  # @param job [Records::Job]
  def do_now(job)
    job.finish(const_get(ALL.fetch(job.kind)).new(job).call)
  rescue Rungs::Error, Records::Gone => e
    job.fail_with(Rungs.capital(e.message))
  rescue StandardError => e
    warn e.class.name, *e.backtrace.grep_v(%r{/vendor/}).first(12)
    job.fail_with("Something went wrong on our side")
  end
end
