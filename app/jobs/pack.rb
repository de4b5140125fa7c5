# frozen_string_literal: true

module Jobs
  # All that some lessons need, of some kinds, as one file. asked: first and last day, kinds, today and link.
  class Pack < Sheet
    # @return [String] PDF
    # @raise [Rungs::Error] where nothing could be drawn
    def call
      I18n.with_locale(room.setting("region")) do
        lines = Printing::LessonPapers.of_days(room, days, asked["kinds"])
        drawn = lines.each_with_index.filter_map do |line, index|
          @job.report(index, lines.size)
          draw(line)
        end
        @job.update(trouble: "#{missing.join('; ')}.") if missing.any?
        raise Rungs::Error::NotAProblem, missing.join("; ") if drawn.empty?

        ::Sheets::Pack.join(drawn)
      end
    end

    private

    def days = Date.iso8601(asked["from"])..Date.iso8601(asked["until"])
    def missing = @missing ||= []

    # @return [Array(String, Integer), nil] PDF, and how often; nil where it could not be drawn, which is told
    def draw(line)
      one = printing(line.choices.except(:day), day: line.choices[:day])
      [one.sheet(copies: 1).render, line.sheet.copies_in_pack(room.children.size)]
    rescue Rungs::Error => e
      missing << "#{line.title} could not be drawn: #{e.message}"
      nil
    end
  end
end
