# frozen_string_literal: true

module Records
  # A class as one of two sees it who record the same answers in a visit, blind to each other (field guide 17): of the
  # other's answers those alone on which one's own is in, and estimates as they stood before the visit.
  #
  #   BlindInVisit.look(room, account_id, "coach")
  module BlindInVisit
    # @param room [Classroom]
    # @param account_id [Integer] of who looks
    # @param role [String] of Policy::ROLES
    # @return [Classroom] this one; as it is where no visit goes on that is blind to them
    def self.look(room, account_id, role)
      visit = Policy.may?(role, :visit) ? Visit.going_on(room, account_id) : Visit.in_class(room)
      visit ? room.extend(self).look_away(visit, account_id, role) : room
    end

    def look_away(visit, account_id, role)
      @visit, @looking, @as = visit, account_id, role
      self
    end

    def observations_dataset = super.where(not_the_others | own_is_in)
    def problem(id) = super&.read_with(classroom: self)

    # @return [Time] since when estimates stand still
    def blind_since = @visit.begun_at

    private

    HEARD = Sequel[:observations]
    private_constant :HEARD

    # A coach sees what was heard before, and own answers; the others all but the coach's.
    def not_the_others
      return (HEARD[:visit_id] =~ nil) | (HEARD[:visit_id] !~ @visit.id) unless Policy.may?(@as, :visit)

      (HEARD[:happened_at] < @visit.begun_at) | (HEARD[:account_id] =~ @looking)
    end

    def own_is_in
      own = DB[:observations].where(classroom_id: id, account_id: @looking)
      { [HEARD[:child_id], HEARD[:problem_id]] => own.select(:child_id, :problem_id) }
    end
  end
end
