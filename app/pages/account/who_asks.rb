# frozen_string_literal: true

module Pages
  module Account
    # By whom a page is asked for: somebody signed in, who took a lesson's link, or nobody any more; and what a tap
    # hears that is not theirs.
    module WhoAsks
      # What a lesson's substitute reaches, of that class alone.
      OF_LESSON = %r{\A/(?:conduct|listen|board|lesson(?=/\d+/(?:go|unfinish)\z))/(\d{1,17})(?=/|\z)}

      SIGNED_OUT = "You are signed out. Sign in in another tab, then press again; taps wait on this device."
      LINK_ENDED = "The link to this lesson is not good any more. Taps wait on this device."
      SOMEBODY_ELSE = "Somebody else is signed in here now. These taps wait for who made them."
      private_constant :SIGNED_OUT, :LINK_ENDED, :SOMEBODY_ELSE

      private

      # The lesson whose link was opened here, where it is of that class, and that class is not one's own.
      def lesson_to_take(room)
        lesson = room && Records::Lesson.by_substitute_key(session["substitute"])
        return unless lesson && lesson.classroom_id == room.to_i

        lesson unless Records::Account.classroom_of(rodauth.session_value, room)
      end

      # @return [Shared::Visitor]
      def let_in(lesson)
        id = rodauth.compute_hmac(session["active_session_id"].to_s)
        who = { signed_in: rodauth.session_value, session_id: id, lent_lesson: lesson }
        Shared::Visitor.let_in(env, asking: asking, **who)
      end

      # A page that was open when somebody else signed in beside it sends nothing in their name.
      def somebody_elses? = !["", visitor.key].include?(visitor.tapped_by)

      def leave_waiting = say_unauthorized(SOMEBODY_ELSE)

      # A tap that comes after the session ended is not swallowed by the sign-in page.
      def ask_to_sign_in
        link = session["substitute"] if request.path.match?(OF_LESSON)
        request.redirect(link ? "/substitute/#{link}" : "/account/login") unless visitor.htmx?

        say_unauthorized(link ? LINK_ENDED : SIGNED_OUT)
      end

      def say_unauthorized(words)
        response.status = 401
        response["content-type"] = "text/plain; charset=utf-8"
        response.write words
        request.halt
      end
    end
  end
end
