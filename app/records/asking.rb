# frozen_string_literal: true

module Records
  # Who asks, and for what: the session, the class where it is theirs, and of that class a child and a problem, read by
  # one statement that is planned once for each connection.
  class Asking
    PARTS = { room: Classroom, child: Child, posed: PosedProblem }.freeze
    COLUMNS = PARTS.to_h do |part, model|
      [part, model.columns.to_h { |column| [:"#{part}_#{column}", column] }]
    end.freeze
    SELECTED = COLUMNS.flat_map do |part, columns|
      columns.map { |as, column| Sequel[part][column].as(as) }
    end
    THEIRS = Sequel.&({ Sequel[:room][:id] => :$room }, { Sequel[:room][:id] => Account.rooms_of(:$account_id) })

    PEOPLE = DB[:memberships].where(classroom_id: :$room).select { count.function.* }.as(:people)
    MEMBER = { classroom_id: :$room, account_id: :$account_id }.transform_keys { |name| Sequel[:member][name] }.freeze

    def self.of_room(table, id) = Sequel.&({ table[:classroom_id] => Sequel[:room][:id] }, { table[:id] => id })
    def self.on_list(table) = Sequel.&(of_room(table, :$child), { table[:left_on] => nil })
    private_class_method :of_room, :on_list

    OF = Session.with_limits(Session.from(Sequel[:account_active_session_keys].as(:session)))
                .left_join(Sequel[:classrooms].as(:room), THEIRS)
                .left_join(Sequel[:children].as(:child), on_list(Sequel[:child]))
                .left_join(Sequel[:problems].as(:posed), of_room(Sequel[:posed], :$problem))
                .left_join(Sequel[:memberships].as(:member), Sequel.&(MEMBER))
                .where(Sequel[:session][:account_id] => :$account_id, Sequel[:session][:session_id] => :$session_id)
                .select_append(*SELECTED, Sequel[:member][:role], PEOPLE).naked.prepare(:first, :asking)
    private_constant :PARTS, :COLUMNS, :SELECTED, :THEIRS, :MEMBER, :PEOPLE, :OF

    # What of a request says which class, child and problem it is about.
    PATH = %r{\A/[a-z-]+/(\d{1,17})(?=/|\z)}

    # @param account_id [Integer, nil]
    # @param session_id [String] as it is kept
    # @param path [String] of the request
    # @param form [Hash] its parameters
    # @return [Asking, nil] nil where nobody is signed in any more
    def self.of(account_id, session_id, path:, form:, now: Time.now)
      room, child, problem = path[PATH, 1], form["child_id"], form["problem_id"]
      row = OF.call(account_id: account_id, session_id: session_id, room: number(room), child: number(child),
                    problem: number(problem)) or return
      new(row) if Session.go_on?(row, now)
    end

    # 0 for what is none.
    def self.number(text) = text.is_a?(String) && text.match?(/\A\d{1,17}\z/) ? text.to_i : 0
    private_class_method :number

    def initialize(row)
      @row = row
    end

    # @return [Classroom, nil] with the child and the problem that were asked for
    def room
      return @room if defined?(@room)

      @room = made(:room)&.tap { |room| room.bring(child: made(:child), problem: made(:posed)) }
    end

    # @return [String, nil] as what who asks belongs to that class
    def role = @row[:role]

    # How many belong to it.
    def people = @row[:people]

    private

    def made(part)
      PARTS.fetch(part).call(COLUMNS.fetch(part).to_h { |as, column| [column, @row[as]] }) if @row[:"#{part}_id"]
    end
  end
end
