# frozen_string_literal: true

module Records
  # Forms that were answered, so that one that comes again is done once: by who sent it, its key and what was in it. Of
  # the answer is kept what leads on, never what a page showed.
  module AnsweredForm
    # How long a form that comes again is known, in seconds.
    KEPT = 86_400

    module_function

    # Takes a form for this transaction; one that is sent at the same time waits here until it is answered.
    # @param form [Hash{Symbol => String}] whose, key and sent
    # @return [Boolean] whether it came for the first time
    def take(form)
      DB[:answered_forms].insert_conflict.returning(:key).insert(**form, answered_at: Time.now).any?
    end

    # @param answer [Hash{Symbol => Object}] status and location
    def answer(form, **answer) = DB[:answered_forms].where(form).update(answer)

    # @return [Hash{Symbol => Object}] status and location of the first answer
    def answered(form) = DB[:answered_forms].where(form).first

    def tidy = DB[:answered_forms].where { answered_at < Time.now - KEPT }.delete
  end
end
