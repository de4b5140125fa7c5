# frozen_string_literal: true

module Rungs
  # Names as they are called out: the first name, and as much of the rest as tells two with the same one apart.
  module FirstNames
    module_function

    # @param names [Array<String>] all different
    # @return [Hash{String => String}] by name; of names that are short already, themselves
    def of(names)
      names.group_by { |name| name.split.first }.flat_map do |first, all|
        all.size == 1 ? [[all.first, first]] : all.map { |name| [name, apart(name, all - [name])] }
      end.to_h
    end

    # "Ada Brook" beside "Ada Bell" is "Ada Br."
    def apart(name, others)
      first, rest = name.split(" ", 2)
      length = (1..rest.to_s.size).find do |size|
        others.none? { |other| other.split(" ", 2).last.start_with?(rest[0, size]) }
      end
      return name unless length && length < rest.delete_suffix(".").size

      "#{first} #{rest[0, length]}."
    end
    private_class_method :apart
  end
end
