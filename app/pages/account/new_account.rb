# frozen_string_literal: true

module Pages
  module Account
    # Making an account: who may, what is wrong with its form, all at once, and what makes a password easy to guess.
    module NewAccount
      # Fields of a new account, as they are told of.
      FIELDS = { "email" => "the e-mail", "password" => "the password", "room" => "what the class is called",
                 "name" => "your name", "invitation" => "the invitation code" }.freeze

      # Somebody whom a class's teacher invited needs no class of their own.
      def asked_in? = Records::Invitation.by_code(session["invited"])&.state == :good

      private

      # Words that somebody at the school would try: its own, and those of every school.
      def own_words
        person = account_id_of_session && Records::Account[account_id_of_session]
        rooms = person ? person.classrooms.flat_map { |room| [room.name, room.school] } : [param_or_nil("room")]
        [*rooms, person&.name || param_or_nil("name"), (person&.email || login_param_value).to_s[/[^@]*/]]
      end

      def account_id_of_session = session_value || (account && account[account_id_column])

      # The time zone that the browser says it is in.
      def zone_of_browser
        zone = param_or_nil("time_zone").to_s
        TZInfo::Timezone.all_identifiers.include?(zone) ? { time_zone: zone } : {}
      end

      def typed(field) = param_or_nil(field).to_s.strip

      # What is wrong with the form of a new account, by its field, all at once.
      # @return [Hash{String => String}]
      def faults_of_account
        address = login_does_not_meet_requirements_message unless login_meets_requirements?(login_param_value)
        password = password_requirement unless password_meets_requirements?(param(password_param))
        { login_param => address, password_param => password, **faults_of_names }.compact
      end

      def password_requirement = password_requirement_message || password_does_not_meet_requirements_message

      def faults_of_names
        most = Shared::Contract::NAME_LENGTH
        { "invitation" => ("not the code that bin/start prints on this machine" unless invited?),
          "room" => ("1 to #{most} characters, please" unless typed("room").size.between?(asked_in? ? 0 : 1, most)),
          "name" => ("at most #{most} characters, please" if typed("name").size > most) }.compact
      end

      def tell_all(faults)
        faults.each { |field, words| set_field_error(field, words) }
        *first, last = FIELDS.values_at(*faults.keys)
        set_error_flash "#{create_account_error_flash.chomp('.')}: look at #{first.join(', ')} and #{last}."
        response.status = 422
        return_response create_account_view
      end

      def invited?
        return true if asked_in?

        asked = Settings.invitation
        asked.nil? || Rack::Utils.secure_compare(typed("invitation"), asked)
      end
    end
  end
end
