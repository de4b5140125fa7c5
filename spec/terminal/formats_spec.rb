# frozen_string_literal: true

require_relative "../../config/terminal"

# What docs/formats.md shows of each command is what the command gives, of the records in spec/fixtures/records.csv.
# Where that changes, WRITE=1 writes the samples anew, with the first of each list.
RSpec.describe "docs/formats.md" do
  root = File.expand_path("../..", __dir__)
  pages = File.read(File.join(root, "docs/formats.md")).split(/^## /).drop(1)
  shown = pages.select { |page| page.include?("```json") }
  samples = shown.to_h { |page| [page.lines.first.strip, page[/^```json\n(.*?)^```/m, 1]] }

  # The command of a heading, without what may be left out.
  define_method(:given_by) do |heading|
    text = heading.delete_prefix("bin/rungs ").gsub(/ \[[^\]]*\]/, "")
    told = text.sub(/records.csv|codings.csv/) { |name| File.join(root, "spec/fixtures", name) }
    words = told.scan(/"([^"]*)"|(\S+)/).map(&:compact)
    out = StringIO.new
    expect(Terminal::Main.run(words.flatten, out: out)).to eq(0)
    JSON.parse(out.string)
  end

  # Whether a sample is true: the same keys and values; of a list as many as are shown.
  # @return [String, nil] where it is not
  def untrue(sample, given, at = "")
    case sample
    when Hash
      unless sample.keys.sort == given.keys.sort
        return "#{at}: #{sample.keys - given.keys} and #{given.keys - sample.keys}"
      end

      sample.filter_map { |key, value| untrue(value, given[key], "#{at}.#{key}") }.first
    when Array
      sample.each_with_index.filter_map { |value, index| untrue(value, given[index], "#{at}[#{index}]") }.first
    else "#{at}: #{sample.inspect}, and it is #{given.inspect}" unless sample == given
    end
  end

  def first_of_each(value)
    case value
    when Hash then value.transform_values { |each| first_of_each(each) }
    when Array then value.first.is_a?(Hash) ? [first_of_each(value.first)] : value
    else value
    end
  end

  if ENV["WRITE"]
    after(:all) do
      file = File.join(root, "docs/formats.md")
      text = File.read(file).split(/^(?=## )/).map do |page|
        next page unless page.include?("```json")

        sample = JSON.pretty_generate(first_of_each(given_by(page.lines.first.delete_prefix("## ").strip)))
        before, rest = page.split("```json\n", 2)
        "#{before}```json\n#{sample}\n```#{rest.split("\n```", 2).last}"
      end.join
      File.write(file, text)
    end
  end

  samples.each do |heading, sample|
    it "shows what #{heading[/\w+ \w+/]} gives" do
      expect(untrue(JSON.parse(sample), given_by(heading))).to be_nil
    end
  end

  it "shows something of every command that speaks to programs" do
    commands = Terminal::Main::COMMANDS - %w[picture sheet]
    expect(commands - samples.keys.map { |heading| heading.split[1] }).to eq([])
  end
end
