# frozen_string_literal: true

# Stories, sharing and practice become activities like any other. Each problem of a lesson is an item of a part: the
# stories of a part in the order in which they were posed or made ready, problems posed outside any part in one of their
# own.
Sequel.migration do
  # What the stories of that time were of: by the story's beginning, and where another thing came with it.
  usual = {
    "apples" => "apple", "bakery" => "roll", "boats" => "boat", "bus" => "child", "buttons" => "button",
    "ferry" => "child", "gulls" => "gull", "kites" => "kite", "lanterns" => "lantern", "library" => "book",
    "mittens" => "mitten", "shells" => "shell", "tide_pool" => "crab"
  }
  things_of = {
    "apples/together.total/1" => ["red apple", "green apple", "red apple"],
    "apples/together.three/1" => %w[apple pear plum],
    "apples/plan_for_it/1" => %w[child child child],
    "bakery/together.total/1" => ["round roll", "long roll", "round roll"],
    "bakery/together.part/1" => ["round roll", "long roll"],
    "bakery/compare.difference.more/1" => %w[bun bun bun],
    "bakery/plan_for_it/1" => %w[child child child],
    "bakery/compare.difference.fewer/1" => ["long roll", "round roll"],
    "bakery/compare.bigger.fewer/1" => ["long roll", "round roll"],
    "boats/together.both/1" => ["red boat", "white boat"],
    "boats/together.three/1" => ["red boat", "white boat", "blue boat"],
    "bus/together.total/1" => %w[child grown-up child],
    "bus/together.part/1" => %w[seat seat seat],
    "bus/compare.difference.more/1" => %w[grown-up child],
    "bus/compare.smaller.more/1" => %w[grown-up child],
    "buttons/together.part/1" => ["red button", "blue button"],
    "buttons/together.three/1" => ["red button", "blue button", "green button"],
    "buttons/together.total/2" => ["red button", "blue button", "red button"],
    "ferry/together.total/1" => %w[child grown-up child],
    "ferry/compare.difference.fewer/1" => %w[grown-up child],
    "ferry/compare.bigger.fewer/1" => %w[grown-up child],
    "kites/together.total/1" => ["red kite", "blue kite", "red kite"],
    "kites/together.both/1" => ["red kite", "blue kite"],
    "kites/compare.difference.more/1" => ["blue kite", "red kite"],
    "kites/compare.smaller.more/1" => ["blue kite", "red kite"],
    "lanterns/together.part/1" => ["red lantern", "blue lantern"],
    "lanterns/together.three/1" => ["red lantern", "blue lantern", "green lantern"],
    "library/together.total/1" => ["big book", "small book", "big book"],
    "library/together.part/1" => ["big book", "small book"],
    "library/compare.bigger.more/1" => ["small book", "big book"],
    "mittens/together.total/1" => ["red mitten", "blue mitten", "red mitten"],
    "mittens/together.part/1" => ["red mitten", "blue mitten"],
    "mittens/together.both/1" => ["red mitten", "blue mitten"],
    "mittens/compare.difference.fewer/1" => ["blue mitten", "red mitten"],
    "mittens/compare.smaller.fewer/1" => ["blue mitten", "red mitten"],
    "shells/together.total/1" => ["white shell", "pink shell", "white shell"],
    "tide_pool/together.total/1" => %w[fish crab fish],
    "tide_pool/together.three/1" => %w[fish crab snail],
    "tide_pool/compare.difference.more/1" => %w[crab snail],
    "tide_pool/compare.smaller.fewer/1" => %w[snail snail snail]
  }
  # The parts that numbers told then, in the order in which a situation gives them: first, second, and the third.
  both = ->(first, second) { [first, second] }
  whole_then_first = ->(whole, first) { [first, whole - first] }
  first_then_whole = ->(first, whole) { [first, whole - first] }
  whole_then_second = ->(whole, second) { [whole - second, second] }
  second_then_whole = ->(second, whole) { [whole - second, second] }
  parts_of = {
    "add_to.result" => both, "add_to.change" => first_then_whole, "add_to.start" => second_then_whole,
    "take_from.result" => whole_then_first, "take_from.change" => whole_then_second, "take_from.start" => both,
    "together.total" => both, "together.part" => first_then_whole,
    "together.both" => ->(whole) { [whole / 2, whole - (whole / 2)] },
    "compare.difference.more" => whole_then_first, "compare.difference.fewer" => whole_then_first,
    "compare.bigger.more" => both, "compare.bigger.fewer" => both, "compare.smaller.more" => whole_then_second,
    "compare.smaller.fewer" => whole_then_second, "together.three" => ->(*parts) { parts },
    "plan_for_it" => ->(children) { [children] * 3 }
  }

  up do
    told = lambda do |row|
      next { equation: row[:equation], words: row[:story] } unless row[:situation]

      things = things_of.fetch(row[:template]) { [usual[row[:template].to_s[%r{\A[^/]+}]]].compact * 3 }
      things = ["counter"] if things.empty?
      { situation: row[:situation], parts: row[:parts].to_a, words: row[:story], things: things,
        template: row[:template], number_set: row[:number_set] }.compact
    end
    ready = lambda do |each|
      parts = parts_of.fetch(each["situation"]).call(*each["numbers"])
      told.call(situation: each["situation"], parts: parts, story: each["story"].to_s,
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
