# frozen_string_literal: true

module Pages
  module Shared
    # Who asks, made once where a request is let in (Account::SignIn), and the only reader of its env and session: the
    # account, or the lesson that is lent to a substitute; the class, what one is in it and how many others there are;
    # and what is kept of this window. Routes and pages are given it.
    #
    #   Visitor.new(signed_in: 3, room: room, role: "assistant").may?(:plan)  # => false
    #
    # signed_in: Integer, an account; nil: nobody. session_id: of that account's sessions. lent_lesson: Records::Lesson
    # whose link was opened. room: Records::Classroom. role: one of Records::Policy::ROLES. people: how many belong to
    # the class. session: Hash, what is kept of this window. request: Rack::Request. day: Date, today where it is not
    # the class's own.
    Visitor = Struct.new(:signed_in, :session_id, :lent_lesson, :room, :role, :people, :session, :request, :day,
                         keyword_init: true) do
      # @return [Visitor] who was let in
      def self.of(env) = env.fetch("rungs.visitor")

      # @param asking [Records::Asking, nil] what was read with who asks
      def self.let_in(env, asking: nil, **who)
        known = { room: asking&.room, role: asking&.role, people: asking&.people }
        made = new(session: env["rack.session"], request: Rack::Request.new(env), **known, **who)
        env["rungs.visitor"] = made.lent_lesson ? made.taking(made.lent_lesson) : made
      end

      # The same visitor in a class, as what they belong to it.
      def in_class(classroom)
        self.class.new(**to_h, room: classroom, role: Records::Membership.role(account_id, classroom.id))
      end

      # As whoever takes a lesson by its link, and reaches that lesson only.
      def taking(lesson)
        room = lesson.classroom.extend(Records::ForSubstitute).see_only(lesson)
        self.class.new(**to_h, room: room, role: "substitute", lent_lesson: lesson)
      end

      def on(day) = self.class.new(**to_h, day: day)

      def account_id = (signed_in unless substitute?)
      def person = @person ||= Records::Account[account_id]
      def substitute? = !lent_lesson.nil?
      def signed_in? = !signed_in.nil?

      # Whether that may be done in this class.
      # @param act [Symbol] of Records::Policy
      def may?(act) = Records::Policy.may?(role, act, room) { !visit.nil? }

      # The visit of this coach that goes on in this class.
      def visit = @visit ||= (Records::Visit.going_on(room, account_id) if Records::Policy.may?(role, :visit))

      # Whether others belong to the class with whom it is shared.
      def others? = !substitute? && people.to_i > 1

      # By what taps are told apart that wait on one device.
      # @return [String, nil]
      def key
        return "lesson-#{lent_lesson.id}" if substitute?

        "account-#{signed_in}" if signed_in?
      end

      # The class today.
      def class_day = @class_day ||= ClassDay.new(room, day || room.today)

      # Where one comes back to after the lesson.
      def home = substitute? ? "/substitute/#{lent_lesson.substitute_key}" : "/today/#{room.id}"

      # A piece of a page, as htmx asks for it.
      def htmx? = !request.nil? && request.has_header?("HTTP_HX_REQUEST")

      # What the device's clock said when this was sent.
      def clock = request.get_header("HTTP_RUNGS_CLOCK")

      # By whom a tap says that it was made.
      def tapped_by = request.get_header("HTTP_RUNGS_WHO").to_s
      def ip = request.ip
      def address = @address ||= Address.new(request)
      def csrf = @csrf ||= Rack::Protection::AuthenticityToken.token(session)

      # Told on the next page; where something can be taken back, with its path.
      def note(text, undo: nil) = session["note"] = undo ? { "text" => text, "undo" => undo } : text
      def take_note = session&.delete("note")

      # Names as they sit, else by today's list.
      def seats? = session["seats"] == true
      def keep_seats(chosen) = session["seats"] = chosen

      # Whether this was explained before; it is now.
      def explained?(what)
        return true if seen.include?(what)

        all = [*seen, what]
        substitute? ? session["seen"] = all : person.update(seen: Sequel.pg_array(all, :text))
        false
      end

      def seen = substitute? ? session["seen"].to_a : person.seen

      # The code of an invitation that waits until one is signed in.
      def keep_invitation(code) = session["invited"] = code
      def take_invitation = session.delete("invited")

      # The board that this window has open.
      def open_board(code) = session["board"] = code

      # The link of a lesson that this window has open.
      def link = session["substitute"]
      def keep_link(key) = session["substitute"] = key
    end
  end
end
