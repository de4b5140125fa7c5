# frozen_string_literal: true

module Exchange
  # Puts lines together until they are worth sending.
  class Chunks
    LARGE = 16_384

    # @param out [#<<] what takes them
    def initialize(out)
      @out = out
      @text = +""
    end

    def <<(text)
      @text << text
      flush if @text.bytesize > LARGE
      self
    end

    def flush
      @out << @text unless @text.empty?
      @text = +""
    end
  end
end
