# frozen_string_literal: true

require "app_helper"

# What pages say of a made-up class (Met), against what is kept of it, as sums. WRITE=1 keeps what they say now: read
# the pages first.
RSpec.describe "The pages’ tables" do
  let(:teacher) { make_teacher(children: []) }
  let(:room) { teacher[1] }
  let(:children) { room.children }
  let(:posed) { room.problems_dataset.order(:posed_at, :id).last }
  let(:course) { room.lesson_on(room.today).course }

  before do
    Timecop.freeze # however long it takes
    drawn_alike
    DB[:copies].delete
    Demo::Simulation.new(room, teacher[0], until_day: room.today).run
    Demo::Plan.new(room, room.today).make
    sign_in teacher[0]
  end

  # What is drawn anew each time is drawn from one seed here.
  def drawn_alike
    allow(Random).to receive(:rand, &:begin)
    allow(Random).to receive(:new).and_wrap_original { |made, *seed| made.call(*(seed.empty? ? [7] : seed)) }
  end

  def met(path)
    answer = get(path.gsub("ROOM", room.id.to_s).gsub("POSED", posed.id.to_s))
    expect([path, answer.status]).to eq([path, 200])
    Met.said(Nokogiri::HTML5(answer.body).at_css("body")).gsub(teacher[0].email, "EMAIL")
  end

  # @param paths [Array<String>] with ROOM for the class, POSED for its last problem, CHILD for each of three children
  def hold(table, *paths)
    whom = children.values_at(0, 6, -1).map { |child| child.id.to_s }
    all = paths.flatten.flat_map { |path| whom.map { |id| path.gsub("CHILD", id) }.uniq }
    expect_table(table, all.each_with_index.to_h { |path, at| ["#{at} #{Met.unnumbered(path)}", met(path)] })
  end

  def each(path, ends) = ends.map { |one| "#{path}#{one}" }

  def choices(path, first, *more) = first.product(*more).map { |chosen| format(path, *chosen) }

  it "hold for today, the lesson, the week and what is planned" do
    days = [-7, -1, 0, 1, 6].map { |more| room.today + more }
    hold("pages_plan", "/today/ROOM", "/plan/ROOM", "/week/ROOM/term", each("/search/ROOM?q=", %w[Calla crabs]),
         each("/lesson/ROOM?day=", days), each("/week/ROOM?from=", days), each("/items/ROOM/", course.parts.map(&:id)),
         each("/plan/ROOM?situation=", Rungs::Problem::Situation::ALL.ids - %w[plan_for_it]),
         each("/plan/ROOM?situation=take_from.result&band=", Rungs::Problem::Band::ALL.ids),
         "/plan/ROOM?situation=add_to.result&numbers[]=14&numbers[]=5", "/own/ROOM", "/own/ROOM/parts",
         each("/find/ROOM?seed=3&activity=", Rungs::Activity::ALL.ids - %w[own_part]))
  end

  it "hold for a lesson: board, listening, conducting, sharing" do
    hold("pages_lesson", "/board/ROOM", "/listen/ROOM?problem=POSED", "/listen/ROOM/remote?problem=POSED",
         "/listen/ROOM/seats", "/share/ROOM?problem=POSED", "/check-in/ROOM/CHILD", "/from-home/ROOM")
    course.parts.each_with_index do |part, at|
      course.go(part)
      hold("pages_lesson_#{at}", "/conduct/ROOM", "/conduct/ROOM/kept", "/today/ROOM", "/listen/ROOM", "/board/ROOM")
    end
  end

  it "hold for what was heard" do
    operations = Rungs::Problem::OPERATIONS
    child = "/climb/ROOM/children/CHILD"
    hold("pages_heard",
         choices("/numbers/ROOM?operation=%s&size=%s&rung=%s&children[]=CHILD", operations, [10, 20], [2, 3, 4]),
         choices("/groups/ROOM?operation=%s&band=%s", operations, %w[to10 bridge]),
         choices("/climb/ROOM?operation=%s&by=%s%s", operations, %w[bands families],
                 ["", "&from=60&to=7", "&sort=bridge"]),
         child, each("#{child}?", %w[operation=subtract band=bridge operation=subtract&band=bridge&square=20]),
         each("#{child}/records?", %w[operation=add&days=28 rung=2]), "/climb/ROOM/weeks", "/hear/ROOM",
         each("/back/ROOM?view=", Pages::Back::Page::VIEWS), "/notes/ROOM/CHILD")
  end

  it "hold for the twelve clips of a practice, before they are answered and after" do
    get "/ear/"
    expect_table("pages_ear", (1..12).to_h do |number|
      send_form "/ear/next"
      before = met("/ear/clip")
      send_form "/ear/clip", code: "guess"
      [number, [before, met("/ear/clip")]]
    end)
  end

  it "hold for what is printed, kept and around a class" do
    hold("pages_kept", "/sheets/ROOM", each("/sheets/ROOM?sheet=", Sheets::ALL.ids), "/sheets/ROOM/enter",
         "/records/ROOM", "/people/ROOM", "/account/", "/account/classes/ROOM", "/account/log", "/coach/",
         "/coach/ROOM", "/ear/", "/gallery/", each("/gallery/", Rungs::Picture::KINDS.ids))
  end
end
