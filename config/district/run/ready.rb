# frozen_string_literal: true

class District
  # Until a part is ready: a database that it leads or follows, a server that it may be asked.
  module Ready
    READY = { "etcd" => %w[client /health], "patroni" => %w[rest /readiness], "server" => %w[people /health/ready],
              "haproxy" => %w[metrics /metrics] }.freeze

    private

    # Until it is ready: a database that it leads or follows, a server that it may be asked.
    def await(part)
      until_ = Time.now + PATIENCE
      until ready?(part)
        return if @ending
        raise Failure, "#{part.name} does not come up. #{log_of(part)} may say why." if Time.now > until_

        look_after(part)
        sleep 0.2
      end
    end

    def ready?(part)
      which, path = READY.fetch(part.kind) { return true }
      Net::HTTP.get_response(part.host, path, part.port(which)).code == "200"
    rescue SystemCallError, IOError, Timeout::Error
      false
    end

    # A free one that is remembered; the one that was asked for where people come in.
    def port_of(part, which)
      return @port if part.kind == "haproxy" && which == "people"

      @ports ||= Hash.new do |all, name|
        remembered = File.size?(File.join(@folder, name)) && Integer(File.read(File.join(@folder, name)))
        all[name] = if remembered && free?(remembered)
                      remembered
                    else
                      other_port(all.values).tap do |port|
                        remember(name, port)
                      end
                    end
      end
      @ports["port-#{part.name}-#{which}"]
    end

    def other_port(taken)
      port = free_port
      taken.include?(port) || port == @port ? other_port(taken) : port
    end
  end
end
