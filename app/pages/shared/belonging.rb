# frozen_string_literal: true

module Pages
  module Shared
    # Which class a page is about, as what who asks belongs to it, and what follows: what may be done, which tabs there
    # are, what is noted.
    module Belonging
      # For a coach, in the place of the tabs that are not theirs.
      VISITS = { "coach" => "Visits" }.freeze
      SECTIONS = { "today" => "Today", "plan" => "Plan", "board" => "Board", "listen" => "Listen", "climb" => "Climb",
                   "sheets" => "Sheets", "records" => "Records" }.freeze
      TAB_NEEDS = { "today" => :see_plan, "plan" => :see_plan, "board" => :conduct, "listen" => :record,
                    "climb" => :ladders, "sheets" => :print, "records" => :keep }.freeze

      # As what who asks belongs to this class.
      # @return [String, nil] of Records::Policy::ROLES
      def role
        return "substitute" if substitute?

        @role ||= env["rungs.asking"]&.role || Records::Membership.role(account_id, room.id)
      end

      # Whether that may be done here.
      # @param act [Symbol] of Records::Policy
      def may?(act) = Records::Policy.may?(role, act, room) { !visit.nil? }

      # The visit of this coach that goes on in this class.
      def visit = @visit ||= (Records::Visit.going_on(room, account_id) if role == "coach")

      # Goes no further than that; and what others than its teachers do in a class is noted, once a day.
      def allow(act)
        raise Base::NotAllowed, Records::Policy::WORDS.fetch(act, "see that") unless substitute? || may?(act)

        note_other unless %w[teacher substitute].include?(role) || htmx? || act == :record
      end

      def note_other = note_act(request.get? ? "looked" : "changed", room, counted: true)

      # The class this page is about; another teacher's is not there.
      def room
        @room ||= in_its_words(room_of_substitute || own_room || stranger).tap { |found| look_away(found) }
      end

      # Who looks in a visit sees nothing of what the other took down.
      def look_away(found)
        @room = found
        Records::BlindInVisit.look(found, account_id, role) if request.safe? && !substitute?
      end

      def own_room
        there = env["rungs.asking"]&.room
        there&.id.to_s == params[:room] ? there : Records::Account.classroom_of(account_id, params[:room])
      end

      # Whether this is somebody who takes the class for a day by a link, and reaches that lesson only.
      def substitute? = !env["rungs.substitute"].nil?

      def room_of_substitute
        lesson = env["rungs.substitute"] or return
        lesson.classroom.extend(Records::ForSubstitute).see_only(lesson)
      end

      # Dates and words are from now on as that class has them.
      def in_its_words(classroom)
        I18n.locale = classroom.setting("region")
        classroom
      end

      # Whether everything that changes something is another's here.
      def looks_only?
        tab = self.class
        @room && !substitute? && tab.respond_to?(:needed) && !may?(tab.needed("POST", "/#{room.id}"))
      end

      # The tabs there are, by their path.
      def sections
        unless substitute?
          mine = SECTIONS.select { |path, _| may?(TAB_NEEDS.fetch(path)) }
          mine = VISITS.merge(mine) if role == "coach"
          return mine.transform_keys { |path| "#{path}/#{room.id}" }
        end

        { home.delete_prefix("/") => "The lesson", "board/#{room.id}" => "Board", "listen/#{room.id}" => "Listen" }
      end

      # Somebody asked for a class that is not theirs: its teachers can read that, also where something was to be
      # changed, of which nothing stays.
      def stranger
        classroom = params[:room].to_s.match?(/\A\d{1,17}\z/) && Records::Classroom[params[:room].to_i]
        note = -> { note_act("stranger", classroom, counted: true) if classroom }
        DB.in_transaction? ? DB.after_rollback(&note) : note.call
        halt 404
      end

      # Kept for the class's teachers to read.
      def note_act(what, classroom = nil, **how)
        address = Rack::Request.new(env).ip
        Records::Audit.note(what, account_id: account_id, classroom: classroom, address: address, **how)
      end
    end
  end
end
