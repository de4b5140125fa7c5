# frozen_string_literal: true

# What was read already is not asked for again.
module ReadWith
  # @param others [Hash{Symbol => Sequel::Model}] by association: lesson.read_with(classroom: room)
  # @return [Sequel::Model] itself
  def read_with(**others) = tap { associations.merge!(others) }
end
