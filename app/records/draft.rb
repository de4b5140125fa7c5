# frozen_string_literal: true

module Records
  # Words that a person has not finished yet, in a class: kept as they are typed, for nobody else.
  class Draft
    # @param account [Account]
    # @param room [Classroom]
    # @param place [String] what is being written
    def initialize(account, room, place)
      @row = DB[:memberships].where(account_id: account.id, classroom_id: room.id)
      @place = place
    end

    # @return [Hash{Symbol => Object}, nil]
    def fields
      kept = @row.get(:drafts)&.dig(@place)
      kept&.to_h&.transform_keys(&:to_sym)
    end

    # @param fields [Hash] plain values, as a form has them
    def store(fields)
      @row.update(drafts: Sequel.lit("drafts || ?", Sequel.pg_jsonb(@place => fields.transform_keys(&:to_s))))
    end

    def forget = @row.update(drafts: Sequel.lit("drafts - ?", @place))
  end
end
