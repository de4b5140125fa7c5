# frozen_string_literal: true

module Jobs
  # The process that does the work: one job at a time, each account in its turn, as nice to the server as can be. Only
  # one of a database works; others wait to take its place.
  class Worker
    # Seconds between two looks where nobody calls; between two tidyings.
    PAUSE = 5
    TIDY = 300

    def initialize
      @tidied = Time.at(0)
    end

    # Goes on for ever.
    def run
      Process.setpriority(Process::PRIO_PROCESS, 0, 10)
      loop do
        DB.synchronize { work_as_the_one }
      rescue Sequel::DatabaseError, PG::Error
        DB.disconnect
        sleep 1
      end
    end

    # What there is to do: each kind by its name.
    KINDS = { "sheet" => "Sheet", "pack" => "Pack", "class_file" => "ClassFile",
              "look" => "Look", "bring_in" => "BringIn" }.freeze

    # @param job [Records::Job]
    def self.do_now(job)
      job.finish(Jobs.const_get(KINDS.fetch(job.kind)).new(job).call)
    rescue Rungs::Error, Records::Gone => e
      job.fail_with(Rungs.capital(e.message))
    rescue StandardError => e
      Log.trouble(e)
      job.fail_with("Something went wrong on our side")
    end

    # Does what is there.
    # @return [Integer] how many
    def work_off
      done = 0
      while (job = Records::Job.claim)
        self.class.do_now(job)
        done += 1
      end
      done
    end

    private

    # The lock is this connection's, and goes with it.
    def work_as_the_one
      DB.get(Sequel.function(:pg_advisory_lock, Records::Job::LOCK))
      Records::Job.take_up_again
      loop do
        work_off
        tidy
        DB.listen(Records::Job::CHANNEL, timeout: PAUSE)
      end
    end

    ADMIN = File.join(Rungs::ROOT, "bin/rungs-admin")

    # Once a day: a copy of everything, by a process of its own, and what classes that are over leave behind.
    def night_work
      Process.detach(spawn(ADMIN, "backup", out: File::NULL, err: File::NULL)) if Records::Copy.due?
      return if @let_go == Date.today

      @let_go = Date.today
      Records::LettingGo.call.each { |step| Log.say(step.does, plain: step, classroom: step.room.id) }
    end

    def tidy
      return if Time.now - @tidied < TIDY

      Records::Job.tidy
      Records::Upload.tidy
      Records::Standby.tidy
      Records::AnsweredForm.tidy
      Records::Attempts.tidy
      Records::Ledger.catch_up # what a server of the version before took down
      night_work if ENV["RUNGS_NIGHTLY"]
      @tidied = Time.now
    end
  end
end
