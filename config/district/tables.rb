# frozen_string_literal: true

require "open3"

# The roles, the database and its tables of a district, by whichever of its databases leads.
class Tables
  class Failure < StandardError; end

  # How often, every half second, it is tried before it is given up.
  TRIES = 50
  ADMIN = File.expand_path("../../bin/rungs-admin", __dir__)

  # @param plan [DistrictPlan]
  def initialize(plan)
    @plan = plan
  end

  # @raise [Failure]
  def make
    roles
    done({ "DATABASE_URL" => @plan.direct_url, "RUNGS_OWNER_URL" => @plan.owner_url }, ADMIN, "migrate")
  end

  private

  def roles(tries = TRIES)
    psql = File.join(@plan.postgres, "psql")
    done({}, psql, @plan.superuser_url, "-q", "-v", "ON_ERROR_STOP=1", with: @plan.one("patroni").filled("roles.sql"))
  rescue Failure
    raise if tries.zero?

    sleep 0.5
    roles(tries - 1)
  end

  def done(environment, *command, with: "")
    said, status = Open3.capture2e(environment, *command, stdin_data: with)
    raise Failure, "The database could not be made: #{said.strip}" unless status.success?
  end
end
