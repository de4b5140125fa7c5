# frozen_string_literal: true

module Terminal
  # The commands that need nothing but what is typed, of activities and their pictures.
  module ActivityCommands
    private

    def activities
      options([])
      all = Rungs::Activity::ALL
      tell({ activities: all.map { |each| each.to_h.merge(finds: each.finds, options: each.options.map(&:to_h)) } }) do
        all.map { |each| format("%-18s %-28s %s", each.id, each.title, each.i_can) }
      end
    end

    # A set; or one step of one of its items, as a picture.
    def activity
      id, = options(["an activity"], option: [], seed: Integer, count: Integer, item: Integer, step: Integer)
      activity = Rungs::Activity::ALL.fetch(id).with(choices)
      items = activity.items(seed: @options.fetch(:seed, 1), count: @options[:count])
      return @out.puts(Drawings::Picture.draw(step_of(items).layout)) if @options[:step]

      tell({ activity: activity.class.to_h, items: items.map(&:to_h), **activity.figures }) do
        items.flat_map { |item| [item.ask, *item.steps.map { |step| step_line(step) }] }
      end
    end

    def step_line(step) = "  #{[step.words, step.equation].compact.join('  ')}"

    # "--option to=20", as often as wanted.
    def choices
      @choices.to_h do |each|
        raise Rungs::Error::Unreadable, "say an option as id=choice, not “#{each}”" unless each.include?("=")

        each.split("=", 2)
      end
    end

    def step_of(items)
      item = numbered(items, :item, @options.fetch(:item, 1))
      numbered(item.steps, :step, @options[:step])
    end

    def numbered(all, name, number)
      return all[number - 1] if number.between?(1, all.size)

      raise Rungs::Error::NotAProblem, "there is no #{name} #{number}; there are 1 to #{all.size}"
    end

    SETTINGS = { fill: String, style: String, place: String, show: String, arrangement: String, thing: String,
                 size: Integer, struck: Integer, ticked: Integer, moved: Integer, hidden: String, seed: Integer,
                 from: Integer, to: Integer, card: nil, heap: nil, compare: nil }.freeze

    def picture
      id, *numbers = options(["a picture", "numbers…"], **SETTINGS)
      settings = @options.except(:json).to_h { |name, value| [name, setting(name, value)] }
      picture = Rungs::Picture::KINDS.fetch(id).from(numbers.map { |number| whole(number) }, **settings)
      @out.puts Drawings::Picture.draw(picture.layout)
    end

    # A name where the core takes one; hidden is a number or a name.
    def setting(name, value)
      return value unless %i[fill style place show hidden].include?(name)

      value.match?(Main::WHOLE) ? value.to_i : value.to_sym
    end
  end
end
