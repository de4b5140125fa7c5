# frozen_string_literal: true

# What the core gives for chosen cases, kept as text, one case a line, so that a change is read in a diff.
# `WRITE=1 bundle exec rspec spec/lib/tables` keeps what it gives now: read the diff before it is committed.
module Tables
  FOLDER = File.expand_path("../fixtures/tables", __dir__)

  # @param name [String] of the table
  # @param cases [Hash{String => String}] by what each is, in the same order always
  def expect_table(name, cases)
    file = File.join(FOLDER, "#{name}.txt")
    now = cases.map { |what, text| "#{what}: #{text.gsub(/\s+/, ' ').strip}" }
    File.write(file, "#{now.join("\n")}\n") if ENV["WRITE"]
    before = File.readlines(file, chomp: true)
    told = [*(before - now).first(5).map { |line| "- #{line}" }, *(now - before).first(5).map { |line| "+ #{line}" }]
    expect(now == before).to be(true), "#{(now - before).size} lines of #{name}.txt differ.\n#{told.join("\n")}"
  end

  # What a block gives, or the sentence by which it is refused.
  def tried
    yield
  rescue Rungs::Error => e
    "(#{e.message})"
  end

  # A picture: how large it is, and of each kind of mark how many there are and between which corners.
  # @param layout [Rungs::Picture::Layout]
  def seen(layout)
    alike = layout.marks.group_by { |mark| [mark.shape, mark.tone, mark.state].compact.join(" ") }
    marks = alike.map { |kind, all| "#{all.size} #{kind} #{between(all)}" }
    "#{short(layout.width)}×#{short(layout.height)} #{marks.join(', ')}"
  end

  private

  def between(marks)
    left, top = %i[x y].map { |side| marks.map(&side).min }
    right, foot = marks.map { |mark| mark.x + mark.width }.max, marks.map { |mark| mark.y + mark.height }.max
    texts = marks.filter_map(&:text).uniq
    told = " #{texts.first(4).join(' ')}" if texts.any?
    "(#{[left, top, right, foot].map { |number| short(number) }.join(' ')})#{told}"
  end

  def short(number) = format("%g", number.round(2))
end

RSpec.configure { |config| config.include Tables }
