# frozen_string_literal: true

require "bcrypt"

module Pages
  module Account
    # How signing in is done: which of Rodauth's features, in whose words, and what else happens then.
    module Configuration
      WRONG = "not an e-mail and a password that go together"
      LETTER = "If there is an account with that address, a letter with a link is on its way, good for a day."
      MADE = "If that address was free, the account is made now: sign in with it."
      GUESSED = "made of words that others would try; take another, please"
      COST = ENV["RACK_ENV"] == "test" ? 4 : 12
      # What the password of an unknown address is held against.
      NOBODY = BCrypt::Password.create(SecureRandom.hex, cost: COST).to_s
      private_constant :WRONG, :LETTER, :MADE, :NOBODY, :GUESSED

      # Read by Rodauth, a line each: a feature, a setting, a hook.
      SIGNING_IN = proc do
        enable :login, :logout, :create_account, :close_account, :change_password, :audit_logging,
               :active_sessions, :disallow_common_passwords, :reset_password
        db DB
        prefix "/account"
        hmac_secret Settings.secret("hmac_secret") { SecureRandom.hex(32) }
        password_hash_cost COST
        use_database_authentication_functions? false
        account_password_hash_column nil
        title_instance_variable :@title
        login_label "E-mail"
        login_param "email"
        require_login_confirmation? false
        require_password_confirmation? false
        password_minimum_length 10
        password_maximum_bytes 72
        login_maximum_length 120
        set_deadline_values? true
        already_logged_in { redirect "/" }
        password_does_not_meet_requirements_message { password_requirement_message || "another password, please" }
        password_too_short_message "at least 10 characters, please"
        login_redirect "/"
        logout_redirect "/account/login"
        create_account_redirect { Settings.loopback? ? "/" : "/account/login" }
        close_account_redirect "/account/login"
        change_password_redirect "/account"
        login_page_title "Sign in"
        create_account_page_title "Make an account"
        close_account_page_title "Close the account"
        change_password_page_title "Change the password"
        login_error_flash nil
        change_password_error_flash nil
        close_account_error_flash nil
        reset_password_request_error_flash nil
        create_account_error_flash "The account was not made yet."
        change_password_notice_flash nil
        close_account_notice_flash "The account is closed and its classes are deleted."
        password_meets_requirements? do |password|
          next false unless super(password)

          guessed = GuessedPassword.of?(password, own_words)
          set_password_requirement_error_message(:password_guessed, GUESSED) if guessed
          !guessed
        end
        password_is_one_of_the_most_common_message "one that many people use; take another, please"
        already_an_account_with_this_login_message "cannot be used here; if it is yours, sign in with it"
        # An unknown address and a wrong password are told alike, and take as long.
        invalid_password_message { request.path.end_with?("/login") ? WRONG : "not the password of this account" }
        no_matching_login_message WRONG
        after_no_matching_login { BCrypt::Password.new(NOBODY) == param(password_param) }
        require_login_error_flash nil
        login_notice_flash nil
        logout_notice_flash "You are signed out."
        audit_log_metadata_default { { "address" => request.ip } }
        audit_log_insert_hash { |account_id, action| super(account_id, action)&.merge(at: Time.now) }
        # A session lives in the database: what is copied of it ends with it. A device may stay signed in.
        active_sessions_insert_hash do
          super().merge(device: request.user_agent.to_s[0, 200], created_at: Time.now, last_use: Time.now)
        end
        after_login { stay if param_or_nil("stay") }
        after_change_password do
          end_sessions
          tell_of_new_password
          session["note"] = "The password is changed."
        end
        # A forgotten password is set anew by a link in a letter, where letters can be sent; it says nothing of who has
        # an account. The link leads where this server was told to be, and signs nobody in by itself.
        reset_password_page_title "A new password"
        reset_password_request_page_title "Forgotten the password?"
        reset_password_email_subject "A new password for Rungs"
        reset_password_email_sent_notice_flash LETTER
        reset_password_email_sent_redirect "/account/login"
        reset_password_redirect "/account/login"
        reset_password_notice_flash "The password is set. Sign in with it."
        reset_password_error_flash "The password was not set yet."
        no_matching_reset_password_key_error_flash "That link is not good any more. Ask for another one."
        reset_password_email_last_sent_column nil
        reset_password_autologin? false
        login_failed_reset_password_request_form { nil }
        reset_password_table :account_password_reset_keys
        base_url { Settings.url }
        domain { URI(Settings.url).host }
        email_from { ENV.fetch("MAIL_FROM") { "rungs@#{domain}" } }
        send_email { |letter| Settings.mail.post(letter) }
        before_reset_password_request_route do
          not_here unless Settings.mail
          alike(LETTER) if request.post? && !account_from_login(login_param_value)
        end
        before_reset_password_route { not_here unless Settings.mail }
        after_reset_password do
          end_sessions
          tell_of_new_password
        end
        # Where others can reach this server, making an account says nothing of who has one either.
        create_account_autologin? { Settings.loopback? }
        create_account_notice_flash { MADE unless Settings.loopback? }
        before_create_account_route do
          taken = request.post? && !Settings.loopback? && account_from_login(login_param_value)
          alike(MADE) if taken && invited? && password_meets_requirements?(param(password_param))
          faults = request.post? ? faults_of_account : {}
          tell_all(faults) if faults.size > 1
        end
        auth_class_eval do
          include Sessions
          include NewAccount
        end
        before_create_account do
          field, words = faults_of_names.first
          throw_error_status(422, field, words) if field
          account.update(name: typed("name"), created_at: Time.now)
        end
        after_create_account do
          next if asked_in? && param("room").strip.empty?

          classroom = Records::Account[account_id].start_classroom(name: param("room").strip, **zone_of_browser)
          year = Rungs::Planning::Setting::ALL.fetch("year").choice(param_or_nil("year"))
          classroom.merge_settings("year" => year)
        end
        before_close_account { Records::Account[account_id].leave_classrooms }
        delete_account_on_close? true
        skip_status_checks? false
      end
    end
  end
end
