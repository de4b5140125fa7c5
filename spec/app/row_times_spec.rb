# frozen_string_literal: true

require "app_helper"

# Whatever a page, an archive or a log says of when, says it by one clock: Ruby's, which specs settle and the database's
# does not follow.
RSpec.describe "The time of a row" do
  include MadeUpClass

  let(:far) { Time.utc(2031, 5, 5, 10) }

  # @return [Array<Array(Symbol, Symbol)>] tables and columns that the database would fill by its own clock
  def left_to_the_database
    columns = DB.from(Sequel[:information_schema][:columns]).where(table_schema: Sequel.function(:current_schema))
    clocks = columns.where(Sequel.like(:column_default, "%now()%", "%CURRENT_TIMESTAMP%"))
    clocks.select_map(%i[table_name column_name]).map { |names| names.map(&:to_sym) }
  end

  # How many rows there are, and how many of that day.
  def counted
    left_to_the_database.to_h do |table, column|
      [[table, column], [DB[table].count, DB[table].where(column => far..(far + 3600)).count]]
    end
  end

  # A row of every table that has such a time.
  def make_everything
    sign_up
    room = made_up_class(Random.new(3))
    lesson = room.lesson_on(room.today)
    lesson.course.go(lesson.course.parts.first)
    posed = pose(room)
    Records::Way.offer({ classroom_id: room.id, problem_id: posed.id }, "10 and 4", child: room.children.first)
    show_and_hide(room, posed)
  end

  # What is open to see on a board, and a note that a family gets; what a keeper's own hand may leave out.
  def show_and_hide(room, posed)
    posed.lesson.change_board { |state| state.with(problem: posed.id, show: "shown") }
    Records::FamilyNote.store(room.children.first, { now: "reads" })
    Records::Audit.note("exported", account_id: nil, classroom: room)
  end

  def sign_up
    get "/account/create-account"
    send_form "/account/create-account", name: "Ada Reva", email: "#{SecureRandom.hex(4)}@harbour.example",
                                         password: AppHelper::PASSWORD, room: "Room 1", year: "first"
    expect(last_response.status).to eq(302)
  end

  it "is Ruby’s, in every table whose column the database would fill by itself" do
    before = counted
    Timecop.travel(far) { make_everything }
    made = counted.to_h { |names, (all, there)| [names, [all - before[names][0], there - before[names][1]]] }
    expect(made.reject { |_, (all, there)| all.positive? && all == there }).to eq({})
    expect(made.size).to be > 12
  end
end
