# frozen_string_literal: true

module Pages
  module Account
    # Names of children, one a line.
    class ChildrenContract < Shared::Contract
      MOST = 40

      params { required(:names).filled(:string, max_size?: 4000) }

      rule(:names) do
        names = value.lines.map(&:strip).reject(&:empty?)
        key.failure("one to #{MOST} names, please") unless names.size.between?(1, MOST)
        long = names.find { |name| name.size > NAME_LENGTH }
        key.failure("“#{long[0, 20]}…” is longer than #{NAME_LENGTH} characters; nobody was added") if long
      end
    end
  end
end
