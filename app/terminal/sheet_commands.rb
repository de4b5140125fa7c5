# frozen_string_literal: true

module Terminal
  # Sheets of paper, as PDF: those that need no class. These alone need the bundle; no database.
  module SheetCommands
    # By what they are called here; those on a shelf of several are told apart by --kind.
    SHEETS = %w[practice recording cutouts].freeze

    def sheet
      what, = options(["a sheet: #{SHEETS.join(', ')}"], option: [], activity: [], kind: [], seed: Integer,
                                                         number: Integer, "per-page": Integer, copies: Integer,
                                                         paper: [], large: nil, answers: nil, down: nil, "no-name": nil)
      unless SHEETS.include?(what)
        raise Rungs::Error::Unknown, "there is no sheet “#{what}”; there are #{SHEETS.join(', ')}"
      end

      load_sheets
      entry = entry_of(what)
      @out.binmode if @out.respond_to?(:binmode)
      @out.write(entry.of(Sheets::Source.new(kind: printed_kind(entry), down: @options.key?(:down)),
                          chosen_for(entry)).render)
    end

    private

    # Where the application is loaded, they are.
    def load_sheets
      return if defined?(Sheets)

      require "zeitwerk"
      loader = Zeitwerk::Loader.new
      loader.inflector.inflect("all" => "ALL")
      loader.push_dir(File.expand_path("..", __dir__))
      loader.ignore(Dir[File.expand_path("../*", __dir__)].grep_v(/sheets/))
      loader.setup
    end

    def entry_of(shelf)
      there = Sheets::ALL.on(shelf)
      there.one? ? there.first : Sheets::ALL.fetch(chosen(:kind, there.map(&:id)))
    end

    # Practice is of an activity, with its options.
    def printed_kind(entry)
      return unless entry == Sheets::Practice

      Rungs::Activity::ALL.fetch(chosen(:activity, Rungs::Activity::ALL.ids)).with(choices)
    end

    # What is said about it, checked by the choices that it has.
    def chosen_for(entry)
      said = said_about(entry)
      there = entry.choices.to_h { |choice| [choice.id, choice] }
      strange = choices.keys.map(&:to_sym) - there.keys unless entry == Sheets::Practice
      raise Rungs::Error::Unknown, "#{entry.title} has no option “#{strange.first}”" if strange.to_a.any?

      said.slice(*there.keys).to_h { |id, given| [id, there.fetch(id).read(given)] }
    end

    def said_about(entry)
      flags = { large: @options.key?(:large), answers: @options.key?(:answers), name: !@options.key?(:"no-name") }
      more = entry == Sheets::Practice ? {} : choices.transform_keys(&:to_sym)
      numbers = @options.slice(:seed, :number, :"per-page", :copies, :paper)
      { **flags, **more, **numbers.transform_keys { |name| name.to_s.tr("-", "_").to_sym } }
    end
  end
end
