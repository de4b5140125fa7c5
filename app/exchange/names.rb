# frozen_string_literal: true

module Exchange
  # Whether two names may be one child's.
  module Names
    module_function

    # "Zoe" and "Zoë", "Ben" and "Benno", "Jan" and "Jan B.", "Ilse" and "Else"
    def near?(one, other)
      a, b = [one, other].map { |name| plain(name) }
      a == b || (a[0, 3] == b[0, 3] && (a.start_with?(b) || b.start_with?(a))) || one_off?(a, b)
    end

    def plain(name) = name.unicode_normalize(:nfkd).gsub(/\p{M}/, "").downcase.gsub(/[^\p{L}\d]/, "")

    # Names of three letters and more, of which one is another, too many or missing.
    def one_off?(one, other)
      short, long = [one, other].sort_by(&:size)
      return false if short.size < 3 || long.size - short.size > 1

      same = short.each_char.with_index.take_while { |letter, place| long[place] == letter }.size
      long[(same + 1)..] == short[(short.size == long.size ? same + 1 : same)..]
    end
    private_class_method :plain, :one_off?
  end
end
