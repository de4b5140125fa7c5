# frozen_string_literal: true

module Records
  # The standing observations of a class as the core's records, and the estimates they give.
  class Evidence
    Key = Struct.new(:child_id, :operation, :band)

    # One record with the row behind it, for pages that show both.
    Heard = Struct.new(:record, :observation, :equation, keyword_init: true)

    # @param classroom [Classroom]
    def initialize(classroom)
      @classroom = classroom
    end

    # @param child [Child, nil] only that child's
    # @return [Hash{Key => Array<Heard>}] in the order they happened
    def heard(child: nil)
      @heard ||= {}
      @heard[child&.id] ||= rows(child).each_with_object(Hash.new { |all, key| all[key] = [] }) do |row, all|
        all[Key.new(row[:child_id], row[:operation], row[:band])] << hear(row)
      end
    end

    # @return [Rungs::Progress::Estimate]
    def estimate(child, operation, band, on:)
      heard_there = heard_of(child, operation, band)
      Rungs::Progress::Estimate.of(heard_there.map(&:record), on: on)
    end

    # Reads the whole class where that was read before, else this child only.
    def heard_of(child, operation, band) = ((@heard && @heard[nil]) || heard(child: child)).fetch(Key.new(child.id, operation, band), [])

    # @return [Hash{Integer => Date}] the day each child was last heard, off the ladder too
    def last_heard = @last_heard ||= tallies.transform_values { |tally| @classroom.today(tally[:last]) }

    # @return [Hash{Integer => Integer}] how many records each child has
    def counts = Hash.new(0).merge(tallies.transform_values { |tally| tally[:records] })

    # @return [Array<Rungs::Progress::Listening::Turn>] longest unheard first
    def turns(on:, places:)
      last, counts = last_heard, self.counts
      children = @classroom.children.map { |child| Rungs::Progress::Listening::Child.new(child: child, name: child.name, last: last[child.id], records: counts[child.id]) }
      Rungs::Progress::Listening.turns(children, on: on, places: places)
    end

    private

    def tallies
      @tallies ||= @classroom.observations_dataset.standing.group(:child_id)
                             .select(:child_id, Sequel.function(:max, :happened_at).as(:last), Sequel.function(:count).*.as(:records)).naked.as_hash(:child_id)
    end

    COLUMNS = %i[id first_key child_id problem_id happened_at code rung move answer right used help heard].freeze

    def rows(child)
      rows = @classroom.observations_dataset.standing.in_order
                       .join(:problems, { classroom_id: :classroom_id, id: :problem_id }, table_alias: :posed)
                       .select(*COLUMNS.map { |column| Sequel[:observations][column] }, *%i[operation band affords parts equation].map { |column| Sequel[:posed][column] })
      rows = rows.where(Sequel[:observations][:child_id] => child.id) if child
      rows.naked.all
    end

    def hear(row)
      record = Rungs::Progress::Record.new(day: @classroom.today(row[:happened_at]), rung: row[:rung], affords: row[:affords].to_a,
                                           fact: row[:parts].to_a.sort, right: row[:right], help: row[:help])
      Heard.new(record: record, observation: Observation.call(row.slice(*COLUMNS)), equation: row[:equation])
    end
  end
end
