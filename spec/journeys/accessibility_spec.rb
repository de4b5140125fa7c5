# frozen_string_literal: true

require "journey_helper"

RSpec.describe "Every page to WCAG 2.2 AA", type: :feature do
  let(:room) { Demo::School.account.classrooms.first }

  def open_demo
    visit "/account/login"
    click_button "Open the demo class"
    expect(page).to have_css("h1", text: "Today in Room 4")
  end

  it "holds signed out" do
    ["/account/login", "/account/create-account"].each do |path|
      visit path
      expect_accessible(page_by_page: true)
    end
  end

  it "holds on every tab of the demo class" do
    open_demo
    child = room.children.first.id
    posed = room.problems_dataset.last.id
    own = %w[today plan hear groups numbers back lesson find conduct climb account/classes]
    [*own.map { |page| "/#{page}/#{room.id}" }, "/plan/#{room.id}?situation=take_from.result&numbers[]=3&numbers[]=9",
     "/board/#{room.id}?problem=#{posed}", "/listen/#{room.id}?problem=#{posed}&child=#{child}",
     *%w[operation=subtract by=families].map { |chosen| "/climb/#{room.id}?#{chosen}" },
     "/climb/#{room.id}/children/#{child}", "/account", "/account/change-password", "/account/close-account",
     "/today/999999"].each do |path|
      visit path
      expect_accessible(page_by_page: true)
    end
  end

  it "holds after a tap, with a reason open, and on the board with its strip up", :deep do
    open_demo
    visit "/listen/#{room.id}?problem=#{room.problems_dataset.last.id}"
    press "a", "2"
    expect(page).to have_css(".now h2", text: "Anouk, just now")
    find(".answers summary").click
    expect_accessible
    press "u"
    visit "/climb/#{room.id}"
    first(".cell").click
    expect(page).to have_css("dialog[open]")
    expect_accessible
    visit "/board/#{room.id}?problem=#{room.problems_dataset.last.id}"
    press " ", "s"
    expect_accessible
  end

  it "holds in a class with no children and no lesson" do
    account, empty = make_teacher(children: [])
    enter(account)
    ["/today/#{empty.id}", "/plan/#{empty.id}", "/board/#{empty.id}", "/listen/#{empty.id}",
     "/climb/#{empty.id}"].each do |path|
      visit path
      expect_accessible(page_by_page: true)
    end
  end
end
