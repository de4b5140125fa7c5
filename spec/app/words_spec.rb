# frozen_string_literal: true

require "app_helper"

# docs/words.md, and what the pages say.
RSpec.describe "The words" do
  root = File.expand_path("../..", __dir__)
  lines = File.readlines(File.join(root, "docs/words.md")).grep(/\A\| [^-]/).drop(1)
  rows = lines.map { |line| line.split("|").map(&:strip)[1..3] }
  pages = Dir[File.join(root, "{app/pages,app/sheets,app/printing,config/words}/**/*.{erb,rb,yml}")]

  rows.each do |name, _, others|
    it "call it “#{name}”, and nothing else" do
      said = pages.to_h { |file| [file.delete_prefix("#{root}/"), File.read(file)] }
      expect(said.values.any? { |text| text.downcase.include?(name.downcase) }).to be(true), name
      others.split(", ").each do |other|
        expect([other, said.select { |_, text| text.include?(other) }.keys]).to eq([other, []])
      end
    end
  end

  it "are ten or more" do
    expect(rows.size).to be >= 10
  end
end
