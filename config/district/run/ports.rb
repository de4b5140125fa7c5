# frozen_string_literal: true

class District
  # Where each part can be reached: at ports that are free, and remembered.
  module Ports
    private

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
