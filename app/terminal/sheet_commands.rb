# frozen_string_literal: true

module Terminal
  # Sheets of paper, as PDF. These alone need the bundle; no database.
  module SheetCommands
    SHEETS = %w[practice recording cutouts].freeze

    def sheet
      what, = options(["a sheet: #{SHEETS.join(', ')}"], option: [], activity: [], kind: [], seed: Integer,
                                                         number: Integer, "per-page": Integer, copies: Integer,
                                                         paper: [], large: nil, answers: nil, down: nil, "no-name": nil)
      unless SHEETS.include?(what)
        raise Rungs::Error::Unknown, "there is no sheet “#{what}”; there are #{SHEETS.join(', ')}"
      end

      %w[paper sheet practice recording dice_net cutouts].each { |file| require_relative "../sheets/#{file}" }
      @out.binmode if @out.respond_to?(:binmode)
      @out.write(send(:"#{what}_sheet").render)
    end

    private

    def practice_sheet
      activity = Rungs::Activity::ALL.fetch(chosen(:activity, Rungs::Activity::ALL.ids))
      Sheets::Practice.of(activity.with(choices), seed: seed, per_page: @options.fetch(:"per-page", 6),
                                                  answers: @options.key?(:answers), down: @options.key?(:down),
                                                  **for_children)
    end

    def recording_sheet
      kind, number = chosen(:kind, Sheets::Recording::KINDS.keys), @options.fetch(:number, 10)
      Sheets::Recording.new(kind: kind, number: number, title: number.to_s, made_of: { kind: kind, number: number },
                            **for_children)
    end

    def cutouts_sheet
      kind = chosen(:kind, Sheets::Cutouts::KINDS.keys)
      Sheets::Cutouts.new(kind: kind, options: { "seed" => seed, **choices }, title: nil,
                          made_of: { kind: kind, seed: seed, **choices }, **for_all)
    end

    def seed = @options.fetch(:seed, 1)
    def for_children = { name: !@options.key?(:"no-name"), **for_all }

    def for_all
      copies = @options.fetch(:copies, 1)
      raise Rungs::Error::NotAProblem, "1 to 40 copies, please" unless copies.between?(1, 40)

      { paper: @options.fetch(:paper, "a4"), large: @options.key?(:large), copies: copies }
    end
  end
end
