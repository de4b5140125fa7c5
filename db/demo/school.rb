# frozen_string_literal: true

require "bcrypt"

module Demo
  # The invented school by an invented harbour, with one teacher.
  module School
    EMAIL = "teacher@harbour.example"

    module_function

    def account = Records::Account.first(email: EMAIL)

    # Loads the demo class where it is not there yet.
    # @param day [Date] today
    # @return [String, nil] the teacher's new password, once
    def load(day: Date.today)
      return if account

      password = Settings.secret("demo_password") { SecureRandom.alphanumeric(12) }
      DB.transaction { open(password, day) }
    end

    def open(password, day)
      teacher = Records::Account.create(email: EMAIL, name: "Ms Reva")
      DB[:account_password_hashes].insert(id: teacher.id,
                                          password_hash: BCrypt::Password.create(
                                            password, cost: ENV["RACK_ENV"] == "test" ? 4 : 12
                                          ))
      classroom = teacher.start_classroom(name: "Room 4", school: "Lantern Quay School", demo: true)
      Simulation.new(classroom, teacher, until_day: day).run
      Plan.new(classroom, day).make
    end

    # Takes the demo class and its teacher away.
    def clear
      account&.leave_classrooms
      account&.delete
    end
  end
end
