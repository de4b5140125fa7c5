# frozen_string_literal: true

RSpec.describe Rungs::Problem::Equation do
  forms = {
    ->(p, q) { "#{p} + #{q} = ?" } => :whole, ->(p, q) { "? = #{p}+#{q}" } => :whole,
    ->(p, q) { "#{p + q} - #{p} = _" } => :second, ->(p, q) { "□ = #{p + q} − #{p}" } => :second,
    ->(p, q) { "#{p}+?=#{p + q}" } => :second, ->(p, q) { "? + #{q} = #{p + q}" } => :first,
    ->(p, q) { "#{p + q} = #{p} + _" } => :second, ->(p, q) { "#{p + q} – ? = #{q}" } => :first,
    ->(p, q) { "? - #{p} = #{q}" } => :whole
  }

  it "reads every form of every fact to 20, and finds what is asked" do
    misread = []
    forms.each do |form, unknown|
      pairs_to(20).each do |p, q|
        read = described_class.parse(form.call(p, q)).to_problem
        answer = { whole: p + q, first: p, second: q }.fetch(unknown)
        same = [read.unknown, read.parts, read.answer] == [unknown, [p, q], answer]
        again = described_class.parse(read.equation.to_s) == read.equation
        fine = same && again && read.equation.solve.true?
        misread << form.call(p, q) unless fine
      end
    end
    expect(misread).to be_empty
  end

  it "prints across and down, and reads down again" do
    pairs_to(20).each do |p, q|
      [described_class.parse("#{p} + #{q} = ?"), described_class.parse("#{p + q} − #{p} = ?"),
       described_class.parse("#{p} + ? = #{p + q}")].each do |equation|
        expect(described_class.parse(equation.down)).to eq(equation) if p.even?
      end
    end
    expect(described_class.parse("12 - 5 = ?").down).to eq("  12\n−  5\n----\n   □")
  end

  it "judges true or false, and solves two sums" do
    expect(described_class.parse("7 + 5 = 6 + 6")).to be_true
    expect(described_class.parse("7 + 5 = 6 + 5")).not_to be_true
    expect(described_class.parse("8 + 4 = □ + 5").answer).to eq(7)
    expect(described_class.parse("□ + 5 = 8 + 4").to_problem.parts).to eq([7, 5])
    expect { described_class.parse("7 + ? = 12").true? }.to raise_error(Rungs::Error::NotAProblem)
  end

  it "knows a missing part, and three parts" do
    expect(problem("7 + ? = 12")).to be_missing_part
    expect(problem("12 - ? = 7")).not_to be_missing_part
    expect(["? - 5 = 7", "12 - ? = 7", "? + 5 = 12"].map { |each| problem(each).put_back? }).to eq([true, false, false])
    expect(problem("2 + 3 + 4 = ?").parts).to eq([2, 3, 4])
  end

  it "refuses what it cannot read or what has no answer, with a sentence", :aggregate_failures do
    ["", "7 + 5", "7 + 5 = 3 = 2", "7 ++ 5 = ?", "7 × 5 = ?", "seven + 5 = ?", "7 5 = ?", "\xFF", "1" * 300,
     "7\n+ 5"].each do |text|
      expect { described_class.parse(text) }.to raise_error(Rungs::Error::Unreadable)
    end
    ["5 - 7 = ?", "7 + ? = 5", "? + ? = 5", "7 + 5 = 12", "60 + 60 = ?", "9 - 2 - 3 = ?"].each do |text|
      expect { problem(text) }.to raise_error(Rungs::Error)
    end
  end
end
