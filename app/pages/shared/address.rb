# frozen_string_literal: true

require "forwardable"
require "socket"

module Pages
  module Shared
    # Where others open what is told to them: under the name that a page was asked for, else this machine's own address.
    class Address
      extend Forwardable

      def_delegators :@request, :scheme, :base_url

      # @param request [Rack::Request]
      def initialize(request)
        @request = request
      end

      def board(lesson) = "#{scheme}://#{host}/b/#{lesson.code}"
      def lesson(lesson) = "#{scheme}://#{host}/substitute/#{lesson.substitute_key}"
      def invitation(invitation) = "#{scheme}://#{host}/invite/#{invitation.code}"

      # Whether others reach this machine at all.
      def reachable? = !Settings.loopback?

      # @return [String] with its port
      def host
        return @request.host_with_port unless reachable? && %w[127.0.0.1 localhost].include?(@request.host)

        own = Socket.ip_address_list.find { |each| each.ipv4? && !each.ipv4_loopback? }
        own ? "#{own.ip_address}:#{@request.port}" : @request.host_with_port
      end
    end
  end
end
