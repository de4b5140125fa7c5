# frozen_string_literal: true

require "app_helper"

RSpec.describe "Posing" do
  let(:teacher) { make_teacher }
  let(:room) { teacher[1] }

  before { sign_in teacher[0] }

  def numbers = last_response.body.scan(/name="numbers\[\]"[^>]*value="(\d+)"/).flatten.map(&:to_i)

  it "writes a story with the numbers asked for, in the band asked for" do
    %w[to5 to10 bridge].product(%w[add_to.result take_from.result together.total]).each do |band, situation|
      get "/plan/#{room.id}", band: band, situation: situation
      problem = Rungs::Problem.told(situation, numbers)
      expect(problem.band).to eq(band)
    end
  end

  it "never gives a problem again in one lesson, and says when there is none left" do
    seen = Array.new(6) do
      get "/plan/#{room.id}", band: "to5", situation: "add_to.result"
      told = numbers
      send_form "/plan/#{room.id}/problems", situation: "add_to.result", words: "#{told.join(' and ')}: how many?",
                                             "numbers[]": told
      told.sort
    end
    expect(seen.uniq.size).to eq(6)
    get "/plan/#{room.id}", band: "to5", situation: "add_to.result"
    expect(last_response.body).to include("0 left")
  end

  it "gives a different one when another is asked for" do
    20.times do
      get "/plan/#{room.id}", band: "to5", situation: "together.total", instead_of: "2 3", "numbers[]": [2, 3]
      expect(numbers.sort).not_to eq([2, 3])
    end
  end

  it "takes the teacher's numbers into the same story, and refuses those that make no problem" do
    get "/plan/#{room.id}", situation: "take_from.result", template: "kites/take_from.result/1", names: "Hana,Leif",
                            "numbers[]": [13, 4]
    expect(last_response.body).to include("13 kites are in the sky. 4 come down.")
    get "/plan/#{room.id}", situation: "take_from.result", template: "kites/take_from.result/1", names: "Hana,Leif",
                            "numbers[]": [4, 13]
    expect(last_response.body).to include("4 is less than 13")
  end

  it "keeps changed words, and refuses words that lost a number, with all that was typed" do
    get "/plan/#{room.id}"
    send_form "/plan/#{room.id}/problems", situation: "add_to.result", words: "Some crabs, then 4 more. How many?",
                                           "numbers[]": [3, 4]
    expect(last_response.status).to eq(422)
    expect(last_response.body).to include("The story must still say 3", "Some crabs, then 4 more.")
    send_form "/plan/#{room.id}/problems", situation: "add_to.result", words: "3  crabs,\n then 4 more. How many?",
                                           "numbers[]": [3, 4]
    expect(room.problems_dataset.last.values).to include(story: "3 crabs, then 4 more. How many?", operation: "add",
                                                         band: "to10", affords: [1, 2, 3, 5])
    send_form "/plan/#{room.id}/problems", words: "nothing"
    expect(last_response.status).to eq(422)
  end
end
