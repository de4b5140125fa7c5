# frozen_string_literal: true

module Pages
  module Account
    # Signed in until when, and on which devices; and what is said of a new password.
    module Sessions
      NEW_PASSWORD = "The password for Rungs was set anew"
      private_constant :NEW_PASSWORD

      # What is asked for is read with who asks.
      def currently_active_session?
        key = session[session_id_session_key] or return false
        asking = Records::Asking.of(session_value, compute_hmac(key), path: request.path, form: request.params)
        scope.asking = asking
        !asking.nil?
      end

      # Who asks without a session is asked to sign in, as if there never had been one.
      def no_longer_active_session = clear_session

      # Whoever was invited is asked back there after signing in.
      def clear_session
        invited = session["invited"]
        super
        session["invited"] = invited if invited
      end

      # All others of this account.
      def end_sessions = remove_all_active_sessions_except_current

      # This session lasts on this device until it signs out.
      def stay
        Records::Session.stay(session_value, compute_hmac(session[session_id_session_key]))
        session["stay"] = Date.today.iso8601
      end

      # What everybody hears a new password of, where there is mail.
      def tell_of_new_password
        address = account[login_column]
        Settings.mail&.post(Mail.new(from: email_from, to: address, subject: NEW_PASSWORD, body: <<~TEXT))
          The password of #{address} for Rungs (#{Settings.url}) was just set anew, and every other device was signed
          out. If that was not you, tell whoever keeps Rungs at your school.
        TEXT
      end

      def not_here = request.halt(Shared::ErrorPages.page(404))

      # What somebody else would be told, after as long.
      def alike(words)
        password_hash(param(password_param)) if param_or_nil(password_param)
        set_notice_flash words
        redirect "/account/login"
      end
    end
  end
end
