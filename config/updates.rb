# frozen_string_literal: true

require "open3"

# Which security updates Debian has for what is installed here, as far as apt knows; it is asked, nothing is changed.
module Updates
  LISTED = 5

  module_function

  # @return [String, nil] a sentence; nil where there are none, or it cannot be told
  def sentence(said = simulated)
    names = said.to_s.scan(/^Inst (\S+) .*Debian-Security/).flatten.uniq
    return if names.empty?

    more = names.size > LISTED ? " and #{names.size - LISTED} more" : ""
    names = names.first(LISTED).join(", ")
    "Debian has security updates for this machine (#{names}#{more}): apt-get upgrade puts them in."
  end

  def simulated
    said, status = Open3.capture2e("apt-get", "-s", "-o", "Debug::NoLocking=true", "upgrade")
    said if status.success?
  rescue SystemCallError
    nil
  end
  private_class_method :simulated
end
