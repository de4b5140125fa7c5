# frozen_string_literal: true

module Rungs
  module Activity
    # A way as somebody wrote it: "8 + 2 + 4" for 8 + 6. Right where it comes to what is asked for.
    #
    #   WrittenWay.text("2+4+8", 14)                # => "2 + 4 + 8 = 14"
    #   WrittenWay.text("2+4+8", 14, turned: "one") # => "8 + 4 + 2 = 14"
    module WrittenWay
      FORM = /\A\d{1,3}(\s*[+\-−]\s*\d{1,3}){0,7}\z/

      module_function

      # @param written [String] numbers with + and − between, with or without "= n"
      # @param answer [Integer] what it must come to
      # @param turned ["two", "one"] whether a turned-round sum is a way of its own
      # @return [String] as it is kept: the same way always gives the same text
      # @raise [Error::NotAProblem] with what is off
      def text(written, answer, turned: "two")
        sum = written.to_s.split("=").first.to_s.strip
        raise Error::NotAProblem, "write a way as numbers with + and − between, as 8 + 2 + 4" unless sum.match?(FORM)

        added, taken = terms(sum)
        total = added.sum - taken.sum
        raise Error::NotAProblem, "#{said(added, taken)} is #{total}, not #{answer}" unless total == answer

        "#{said(turned == 'one' ? added.sort.reverse : added, taken)} = #{answer}"
      end

      def terms(sum)
        signed = "+#{sum}".tr("−", "-").scan(/([+-])\s*(\d+)/)
        signed.partition { |sign, _| sign == "+" }.map { |part| part.map { |_, number| number.to_i } }
      end

      def said(added, taken) = [added.join(" + "), *taken].join(" − ")
      private_class_method :terms, :said
    end
  end
end
