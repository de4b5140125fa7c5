# frozen_string_literal: true

class District
  # Until a part is ready: a database that it leads or follows, a server that it may be asked.
  module Ready
    READY = { "etcd" => %w[client /health], "patroni" => %w[rest /readiness], "server" => %w[people /health/ready],
              "haproxy" => %w[metrics /metrics] }.freeze

    private

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
  end
end
