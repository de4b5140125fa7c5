# frozen_string_literal: true

module Pages
  module Shared
    # Which class a request is about, that who asks belongs to it and may do what is asked, and what is noted of it.
    module Belonging
      # Goes no further than that; and what others than its teachers do in a class is noted, once a day.
      # @param act [Symbol] of Records::Policy
      def allow(act)
        raise Base::NotAllowed, Records::Policy::WORDS.fetch(act, "see that") unless substitute? || may?(act)

        note_other unless may?(:unnoted) || htmx? || act == :record
      end

      def note_other = note_act(request.get? ? "looked" : "changed", room, counted: true)

      # The class this request is about; another teacher's is not there.
      def room
        @room ||= begin
          @visitor = visitor.in_class(own_room || stranger) unless asked_for?(visitor.room)
          visitor.room.tap { |found| in_its_words(found) }
        end
      end

      def asked_for?(classroom) = substitute? || (!classroom.nil? && classroom.id.to_s == params[:room])
      def own_room = Records::Account.classroom_of(account_id, params[:room])

      # Dates and words are from now on as that class has them; and who looks in a visit sees nothing of what the other
      # took down.
      def in_its_words(classroom)
        I18n.locale = classroom.setting("region")
        Records::BlindInVisit.look(classroom, account_id, role) if request.safe? && !substitute?
      end

      # Whether everything that changes something is another's here.
      def looks_only?
        tab = self.class
        @room && !substitute? && tab.respond_to?(:needed) && !may?(tab.needed("POST", "/#{room.id}"))
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
        Records::Audit.note(what, account_id: account_id, classroom: classroom, address: visitor.ip, **how)
      end
    end
  end
end
