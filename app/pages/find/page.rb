# frozen_string_literal: true

module Pages
  module Find
    # Activities by what one wants to do, and one of them with its first items.
    class Page < Shared::Page
      view :"find/find", tab: "plan", title: "Find something to do"

      SHOWN = 6

      def coming_day = asked[:day] || super

      def finds = Rungs::Activity::FINDS
      def chosen_find = asked[:finds] || Rungs::Activity::ALL[asked[:activity]]&.finds&.first || finds.keys.first

      # What one wrote oneself stands on a shelf of its own.
      def address_of(find)
        return "/own/#{room.id}?day=#{coming_day}" if Rungs::Activity::OWN.finds.include?(find)

        "/find/#{room.id}?#{URI.encode_www_form(finds: find, day: coming_day)}"
      end

      def activities = Rungs::Activity::ALL.select { |each| each.finds.include?(chosen_find) }
      def activity = activities.find { |each| each.id == asked[:activity] } || activities.first
      def seed = @seed ||= asked[:seed] || Random.rand(1..9999)

      # What the form chose of the activity's options; what it does not have fits the class.
      def options
        @options ||= begin
          chosen = self.class.options_of(activity, room, asked.fetch(:params))
          fits = !activity.ranged || activity.ranges(chosen).include?(chosen["range"])
          fits ? chosen : { **chosen, "range" => Rungs::Activity::Ranged::NONE }
        end
      end

      def self.options_of(activity, room, params)
        activity.fitted(room.current_aim).merge(params.slice(*activity.options.map(&:id)))
      end

      # Of ranges only those that the other choices leave enough of.
      def choices_of(option)
        option == Rungs::Activity::Ranged::OPTION ? [option.default, *ranges] : option.choices
      end

      def ranges = @ranges ||= activity.ranges(options)

      def items = (@items ||= activity.with(options, room.activity_settings).items(seed: seed)).first(SHOWN)

      # Slips of late that this activity brings out, and how often each.
      # @return [Array<String>]
      def seen_here
        made = evidence.slips_of_late(today).select { |slip, _| activity.slips.include?(slip.id) }
        times = made.group_by { |slip, _| slip.title }.transform_values { |all| all.sum { |_, who| who.size } }
        times.sort_by { |title, count| [-count, title] }.map { |title, count| "#{title}, #{often(count)}" }
      end

      def query(**more) = URI.encode_www_form({ finds: chosen_find, activity: activity.id, day: coming_day, **more })

      # Whether it can be done at once, also where today's lesson has stopped.
      def now? = may?(:conduct) && [nil, today, next_school_day].include?(asked[:day])

      # What takes it into a lesson as it is shown.
      def taken = { activity: activity.id, seed: seed, day: coming_day, **options }

      private

      def often(count) = count == 1 ? "once" : "#{count} times"
    end
  end
end
