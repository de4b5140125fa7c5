# frozen_string_literal: true

require_relative "tapper"

# A tablet that keeps a tap until it was answered for, as the page does.
class PatientTapper < Tapper
  # @param pause [Float] seconds before it
  # @return [String] the key of a record that was acknowledged
  def keep_one(pause = 0.1)
    sleep pause
    path, form = next_tap
    sleep 0.05 until kept?(path, form)
    form[:client_key]
  end

  def kept?(path, form)
    post(path, form).code == "200"
  rescue SystemCallError, IOError, Timeout::Error, Net::HTTPBadResponse, OpenSSL::SSL::SSLError
    connect
    false
  end
end
