# frozen_string_literal: true

module Rungs
  class Problem
    # Words with holes, filled for a problem so that number and grammar agree. The holes:
    #
    #   {A} {B}            two different names
    #   {first kite}       a quantity and its thing: "5 kites", "1 kite", "no kites"
    #   {second more}      "5 more", "no more"
    #   {whole}            the number alone: "5", "none"
    #   {first: is|are}    the word that agrees with the number
    #
    # The quantities are first, second, third and whole, as in Problem.
    class Wording
      HOLE = /\{([^}]*)\}/

      # @param text [String]
      # @param things [Hash] the things of the context: "kite" => "kites"
      # @raise [Error::Unreadable] for a hole that means nothing
      def initialize(text, things)
        @plurals = things
        @told = text.scan(HOLE).flatten
        @pieces = text.split(/(\{[^}]*\})/).reject(&:empty?).map do |piece|
          piece.start_with?("{") ? hole(piece[1..-2]) : piece.freeze
        end
        freeze
      end

      # @return [Array<String>] what each part is of, in order, in the singular; what the whole is of where a part does
      #   not say
      def things
        named = @told.filter_map { |hole| hole.split(" ", 2) if @plurals.key?(hole.split(" ", 2).last) }.to_h
        %w[first second third].map { |part| named[part] || named["whole"] || named.values.first }
      end

      # @param names [Array<String>] two different names
      # @return [String]
      def fill(problem, names)
        text = @pieces.map { |piece| piece.is_a?(String) ? piece : piece.call(problem, names) }.join
        text.gsub(/(\A|[.?!] )([a-z])/) { "#{Regexp.last_match(1)}#{Regexp.last_match(2).upcase}" }
      end

      private

      def hole(inside)
        case inside
        when "A", "B" then ->(_, names) { names["AB".index(inside)] }
        when /\A(first|second|third|whole)\z/ then amount(inside) { |number| number.zero? ? "none" : number.to_s }
        when /\A(first|second|third|whole) more\z/
          amount(inside.split.first) { |number| number.zero? ? "no more" : "#{number} more" }
        when /\A(first|second|third|whole): (.+)\|(.+)\z/
          one, many = Regexp.last_match.values_at(2, 3)
          amount(Regexp.last_match(1)) { |number| number == 1 ? one : many }
        when /\A(first|second|third|whole) (.+)\z/ then counted(*Regexp.last_match.values_at(1, 2))
        else raise Error::Unreadable, "“{#{inside}}” is no hole that a story knows"
        end
      end

      def counted(quantity, one)
        many = @plurals.fetch(one) { raise Error::Unreadable, "“#{one}” is not among the things of this story" }
        amount(quantity) do |number|
          case number
          when 0 then "no #{many}"
          when 1 then "1 #{one}"
          else "#{number} #{many}"
          end
        end
      end

      QUANTITIES = { "first" => :first, "second" => :second, "whole" => :whole }.freeze

      def amount(quantity)
        return ->(problem, _) { yield problem.parts.fetch(2) } if quantity == "third"

        getter = QUANTITIES.fetch(quantity)
        ->(problem, _) { yield problem.public_send(getter) }
      end
    end
  end
end
