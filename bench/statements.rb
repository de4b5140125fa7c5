# frozen_string_literal: true

# What goes to the database; one that was planned before, by its name.
module Statements
  SEEN = [] # rubocop:disable Style/MutableConstant

  # @yield
  # @return [Array<String>] what was sent meanwhile
  def self.of
    SEEN.clear
    yield
    SEEN.dup
  end

  # Put into the database connection.
  module Seen
    def log_connection_yield(sql, conn, args = nil)
      name = sql[/\AEXECUTE \w+/]
      SEEN << (name ? "#{name}(#{args.map { |each| literal(each) }.join(', ')})" : sql)
      super
    end
  end
end

DB.extend(Statements::Seen)
