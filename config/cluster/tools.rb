# frozen_string_literal: true

class Cluster
  # PostgreSQL's own programs, run as whoever may run them.
  module Tools
    # A database server keeps the machine's clock, whatever this process is made to believe (faketime).
    OWN_CLOCK = { "LD_PRELOAD" => nil }.freeze

    private

    # @return [String] what it says
    # @raise [Failure]
    def psql(sql)
      command = [tool("psql"), "-h", "127.0.0.1", "-p", port.to_s, "-U", OWNER, "-d", "postgres", "-Atq", "-v",
                 "ON_ERROR_STOP=1"]
      said, status = Open3.capture2e({ "PGPASSWORD" => secret("password") }, *command, stdin_data: sql)
      status.success? ? said : raise(Failure, "The database could not be made: #{said.strip}")
    end

    def tool(name) = File.join(bin, name)

    # Its output goes to a file, since a server that lives on would hold a pipe open.
    def run(name, *arguments, quiet: false)
      command = [tool(name), *arguments]
      command = ["runuser", "-u", "postgres", "--", *command] if root?
      log = File.join(@folder, "tools.log")
      done = system(OWN_CLOCK, *command, chdir: "/", out: log, err: %i[child out])
      return done if done || quiet

      said = File.read(log)
      if said.include?("No space left")
        raise Failure,
              "The disk is full. Free some space, then start again. Nothing was lost."
      end

      log = File.join(File.dirname(data), "server.log")
      end_of_it = said.lines.last(3).join(" ").strip
      raise Failure, "The database did not obey (#{name}): #{end_of_it}\nIts own log is #{log}."
    end

    def bin = @bin ||= BIN.find { |folder| File.executable?(File.join(folder, "initdb")) }
  end
end
