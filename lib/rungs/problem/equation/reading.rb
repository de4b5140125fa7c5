# frozen_string_literal: true

module Rungs
  class Problem
    class Equation
      # How a number sentence is read, across or down the page.
      module Reading
        TOKEN = /[?_□]|\d+|[+\-−–=]/
        RULE = /\A\s*(-{2,}|_{2,}|[—─]+)\s*\z/

        # @param text [String] "7 + 5 = ?", across, or a sum down the page with a rule above the result
        # @return [Equation]
        # @raise [Error::Unreadable] where it cannot be read
        def parse(text)
          source = text.to_s.dup.force_encoding(Encoding::UTF_8)
          unreadable("that is not text") unless source.valid_encoding? && source.size <= 200
          across = source.include?("\n") ? lay_across(source) : source
          sides = across.split("=", -1)
          unreadable("an equation has one equals sign: “#{across.strip}”") unless sides.size == 2
          new(*sides.map { |side| read_side(side) })
        end

        private

        def lay_across(source)
          lines = source.lines.map(&:strip).reject(&:empty?)
          rule = lines.index { |line| line.match?(RULE) }
          unreadable("draw a rule (---) above the result") unless rule
          "#{lines[0...rule].join(' ')} = #{lines[(rule + 1)..].join(' ')}"
        end

        def read_side(side)
          leftover = side.gsub(TOKEN, "").strip
          unreadable("“#{leftover}” cannot be read; use numbers, + and −, and ? for the unknown") unless leftover.empty?
          ["+", *side.scan(TOKEN)].each_slice(2).map { |sign, number| read_term(sign, number, side) }
        end

        def read_term(sign, number, side)
          fits = sign.match?(/\A[+\-−–]\z/) && number&.match?(/\A([?_□]|\d{1,3})\z/)
          unreadable("“#{side.strip}” is not a number, a sum or a difference") unless fits
          Term.new(sign: sign == "+" ? "+" : "−", number: number.match?(/\d/) ? number.to_i : nil)
        end

        def unreadable(reason) = raise(Error::Unreadable, reason)
      end
    end
  end
end
