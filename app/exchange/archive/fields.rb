# frozen_string_literal: true

module Exchange
  module Archive
    # What is said of a list's fields, a line each: their kind, name, what they are; and of which list or words.
    class Fields
      def self.of(&block) = new.tap { |fields| fields.instance_eval(&block) }.made
      def made = @made ||= []

      Field::KINDS.each_key do |kind|
        define_method(kind) { |name, note, **more| made << Field.new(name: name, kind: kind, note: note, **more) }
      end
    end
  end
end
