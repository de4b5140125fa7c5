# frozen_string_literal: true

module Records
  # Takes the children's names and photos out of a class whose time is over, so that what stays can be tied to nobody:
  # done by itself once a day, after somebody was told.
  class LettingGo
    # room: Classroom. does: what is done, or would be, in words.
    Step = Struct.new(:room, :does, keyword_init: true) do
      def to_s = "#{room.named} (#{room.id}): #{does}"
    end

    # @param now [Time]
    # @param dry [Boolean] whether it is only said
    # @return [Array<Step>]
    def self.call(now: Time.now, dry: false)
      Classroom.exclude(ends_on: nil).where(emptied_on: nil).order(:id).all.filter_map do |room|
        new(room, room.today(now), dry).call
      end
    end

    def initialize(room, day, dry)
      @room = room
      @day = day
      @dry = dry
    end

    # @return [Step, nil] nil where there is nothing to do
    def call
      return unless @room.to_be_told?(@day)
      return tell_keeper unless @room.told_on
      return unless @day >= @room.empties_on

      empty unless @dry
      Step.new(room: @room, does: "children’s names and photos #{@dry ? 'would be' : 'were'} removed")
    end

    private

    # Where no teacher came by, whoever keeps the machine is told; from then on four weeks run.
    def tell_keeper
      return if @day < @room.ends_on + Classroom::Ending::REMOVED

      @room.tell(@day) unless @dry
      Step.new(room: @room,
               does: "no teacher has seen that names and photos go; they go on #{@day + Classroom::Ending::TOLD}")
    end

    def empty
      DB.transaction do
        Photo.where(classroom_id: @room.id).delete
        DB[:notes].where(classroom_id: @room.id).delete
        children = DB[:children].where(classroom_id: @room.id).order(:id)
        forget_in_words(children.select_map(:name))
        children.select_map(:id).each.with_index(1) do |id, number|
          DB[:children].where(id: id).update(name: "Child #{number}")
        end
        DB[:ways].where(classroom_id: @room.id).update(initials: "")
        DB[:memberships].where(classroom_id: @room.id).update(drafts: Sequel.lit("'{}'"))
        @room.update(emptied_on: @day, calendar_key: nil)
        Audit.create(what: "emptied", classroom_id: @room.id, address: "", at: Time.now)
      end
    end

    def forget_in_words(names)
      written = WrittenWords.new(@room)
      written.forget_files
      return if names.empty?

      @named = /(?<!\p{L})(?:#{Regexp.union(names)})(?!\p{L})/
      written.notes { |words| nameless(words) }
      written.reasons { |words| nameless(words) }
      written.stories { |words| nameless(words) }
    end

    def nameless(text) = text.gsub(@named, "somebody")
  end
end
