# frozen_string_literal: true

# Stories, sharing and practice become activities like any other. Each problem of a lesson is an item of a part: the
# stories of a part in the order in which they were posed or made ready, problems posed outside any part in one of their
# own.
Sequel.migration do
  up do
    told = lambda do |row|
      next { equation: row[:equation], words: row[:story] } unless row[:situation]

      things = Rungs::Problem::Template::ALL[row[:template]]&.things || ["counter"]
      { situation: row[:situation], parts: row[:parts].to_a, words: row[:story], things: things,
        template: row[:template], number_set: row[:number_set] }.compact
    end
    ready = lambda do |each|
      problem = Rungs::Problem.told(each["situation"], each["numbers"])
      told.call(situation: each["situation"], parts: problem.parts, story: each["story"].to_s,
                template: each["template"], number_set: each["number_set"])
    end
    # As an activity with these items, none of them made from a seed.
    keep = lambda do |part, kind, items, note|
      thrown = items.each_with_index.to_h { |item, place| [place.to_s, item] }
      details = { "options" => {}, "seed" => (part % 9999) + 1, "count" => 0, "thrown" => thrown, "note" => note }
      details = details.except("count", "thrown") if items.empty?
      from(:lesson_parts).where(id: part).update(kind: kind, details: Sequel.pg_jsonb(details.compact))
    end
    number = ->(rows) { rows.each_with_index { |row, item| from(:problems).where(id: row[:id]).update(item: item) } }

    from(:lesson_parts).where(kind: "story").each do |part|
      posed = from(:problems).where(part_id: part[:id]).order(:posed_at, :id).all
      number.call(posed)
      stories = posed.any? ? posed.map(&told) : part[:details]["problems"].to_a.map(&ready)
      keep.call(part[:id], "story_time", stories, nil)
    end

    from(:lesson_parts).where(kind: "share").each { |part| keep.call(part[:id], "whose_way", [], nil) }

    from(:lesson_parts).where(kind: "practice").each do |part|
      equations = part[:details]["equations"].to_a
      facts = equations.all? { |text| text.match?(/\A\d+ [+−] \d+ = □\z/) }
      items = equations.map do |text|
        facts ? { fact: text.delete_suffix(" = □"), due: nil } : { equation: text, words: "" }
      end
      keep.call(part[:id], facts ? "by_heart" : "story_time", items, part[:details]["words"])
    end

    loose = from(:problems).where(part_id: nil, check_in_id: nil).exclude(lesson_id: nil).order(:posed_at, :id).all
    loose.group_by { |row| row[:lesson_id] }.each do |lesson, rows|
      place = from(:lesson_parts).where(lesson_id: lesson).max(:place).to_i + 1
      part = from(:lesson_parts).insert(classroom_id: rows[0][:classroom_id], lesson_id: lesson, place: place,
                                        kind: "story_time", minutes: 10, details: Sequel.pg_jsonb({}))
      keep.call(part, "story_time", rows.map(&told), nil)
      from(:part_runs).insert(part_id: part, started_at: rows.first[:posed_at], ended_at: rows.last[:posed_at])
      from(:problems).where(id: rows.map { |row| row[:id] }).update(part_id: part)
      number.call(rows)
    end

    # A board shows items now; what stood on one before is put there again by a press.
    from(:lessons).where(Sequel.lit("board -> 'part' IS NULL")).update(board: Sequel.pg_jsonb({}))
  end

  down { raise Sequel::Error, "stories are items of an activity now; there is no way back" }
end
