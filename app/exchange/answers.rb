# frozen_string_literal: true

require "csv"

module Exchange
  # What was heard in a class, as a table for any spreadsheet (corrections resolved), as lines with every version, and
  # as statements of the experience-API standard: a line at a time.
  class Answers
    COLUMNS = %w[child date time equation operation band rung move answer right help used seconds heard slip
                 story].freeze
    # What a spreadsheet would run begins so.
    RUN = /\A[=+\-@\t\r]/
    OWN = %i[id replaces_id child_id first_key client_key happened_at code rung move answer right used help undone heard
             seconds slip substitute].freeze
    POSED = { problem_id: :id, situation: :situation, equation: :equation, operation: :operation, band: :band,
              story: :story }.freeze

    # @param room [Records::Classroom]
    # @param child [Records::Child, nil] only of this child
    def initialize(room, child: nil)
      @room = room
      @child = child
    end

    # @return [Enumerator<String>] RFC 4180, the header first
    def csv
      Enumerator.new do |out|
        lines = CSV.new(Chunks.new(out), row_sep: "\r\n")
        lines << COLUMNS
        standing { |row| lines << cells(row) }
        lines.flush
      end
    end

    # @return [Enumerator<String>] a JSON object a line: every version, and whether it stands
    def lines
      Enumerator.new do |out|
        stand = dataset.standing.select_map(Sequel[:observations][:id]).to_set
        chunks = Chunks.new(out)
        each_row(dataset) { |row| chunks << JSON.generate(version(row, stand.include?(row[:id]))) << "\n" }
        chunks.flush
      end
    end

    # @return [Enumerator<String>] a JSON list of statements, one an answer that stands
    def statements
      Enumerator.new do |out|
        chunks, first = Chunks.new(out), true
        standing do |row|
          chunks << (first ? "[\n" : ",\n") << JSON.generate(statement(row))
          first = false
        end
        (chunks << (first ? "[]\n" : "\n]\n")).flush
      end
    end

    private

    def dataset = @room.observations_dataset.then { |rows| @child ? rows.where(child_id: @child.id) : rows }

    def standing(&)
      each_row(dataset.standing, &)
    end

    def each_row(rows, &)
      columns = [*OWN.map { |name| Sequel[:observations][name] },
                 *POSED.map { |name, column| Sequel[:posed][column].as(name) }, Sequel[:children][:name].as(:child), at]
      rows.with_posed.join(:children, id: Sequel[:observations][:child_id]).select(*columns)
          .order(Sequel[:observations][:happened_at], Sequel[:observations][:id]).naked.paged_each(&)
    end

    # Day and time as the class's clock has them.
    def at
      local = Sequel.lit("observations.happened_at AT TIME ZONE ?", @room.time_zone)
      Sequel.function(:to_char, local, "YYYY-MM-DD HH24:MI").as(:at)
    end

    def cells(row)
      [row[:child], *row[:at].split, row[:equation], row[:operation], row[:band], row[:code],
       row[:move], row[:answer], row[:right] ? "yes" : "no", row[:help], row[:used].to_a.join(" "), row[:seconds],
       row[:heard].to_a.join(" "), row[:slip], row[:story]].map { |cell| harmless(cell) }
    end

    def harmless(cell) = cell.is_a?(String) && cell.match?(RUN) ? "'#{cell}" : cell

    def version(row, stands)
      { key: row[:first_key], version: row[:client_key], stands: stands, undone: row[:undone], child: row[:child],
        at: row[:happened_at].getutc.iso8601(3), **row.slice(:equation, :operation, :band, :situation, :story),
        heard_as: row[:code], **row.slice(:rung, :move, :answer, :right, :help, :seconds, :slip, :substitute),
        used: row[:used].to_a, numbers: row[:heard].to_a }
    end

    # Ids are of this installation; a child is known by a name that says nothing.
    def statement(row)
      home = Settings.url
      { id: row[:client_key], timestamp: row[:happened_at].getutc.iso8601(3),
        actor: { objectType: "Agent", account: { homePage: home, name: "child-#{row[:child_id]}" } },
        verb: { id: "#{home}/xapi/answered", display: { en: "answered" } },
        object: { objectType: "Activity", id: "#{home}/xapi/problems/#{row[:problem_id]}",
                  definition: { type: "#{home}/xapi/problem", name: { en: row[:equation] } } },
        result: { success: row[:right], **(row[:answer] ? { response: row[:answer].to_s } : {}),
                  extensions: { "#{home}/xapi/heard" => row[:code], "#{home}/xapi/help" => row[:help] } } }
    end
  end
end
