# frozen_string_literal: true

module Jobs
  # One sheet as PDF. asked: form and options as they were chosen, day, today and link.
  class Sheet
    def initialize(job)
      @job = job
    end

    # @return [String] PDF
    def call
      I18n.with_locale(room.setting("region")) do
        printing(asked["form"].transform_keys(&:to_sym)).sheet.render { |done, total| @job.report(done, total) }
      end
    end

    private

    def asked = @job.asked.to_h
    def room = @job.classroom

    def printing(form, day: Date.iso8601(asked["day"]))
      Printing::OfClass.new(room, form, today: Date.iso8601(asked["today"]), day: day, link: asked["link"],
                                        options: asked["options"].to_h)
    end
  end
end
