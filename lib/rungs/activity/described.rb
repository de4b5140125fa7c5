# frozen_string_literal: true

module Rungs
  module Activity
    # The catalogue's side of an activity: what its class says of it and of its options.
    module Described
      # What an activity is, apart from its items. listen_for: by rung, what it sounds like here. slips: ids of guide 6
      # that it brings out. easier, harder: words for the teacher. paper: the steps whose words a practice sheet asks
      # with, its recording sheet, what of it is cut out. thrown: true where a throw of real things can be tapped in,
      # which given reads. suits: what it is for, as Suits has it. roles: its other places in a day (warm_up, practise,
      # look_back). ranged: whether it can be drawn from one range alone.
      Entry = Struct.new(:id, :title, :minutes, :i_can, :finds, :materials, :cautions, :listen_for, :slips, :easier,
                         :harder, :usual, :paper, :thrown, :suits, :ranged, :roles, keyword_init: true)

      def entry(**about)
        suits = Suits.new(**about.fetch(:suits, {}))
        @entry = Entry.new(materials: [], cautions: [], listen_for: {}, slips: [], usual: 6, paper: {}, roles: [],
                           ranged: about.key?(:suits), **about, suits: suits).freeze
        @options = []
      end

      # @yield [choice] → its words, where they are not its id's
      # @param more [Hash] fits and reach, as Option has them
      def option(id, label, choices, **more, &names)
        @options << Option.new(id: id, label: label, choices: choices.freeze, names: names, **more).freeze
      end

      # With the band that alone its items are drawn from, where it can be (guide 8).
      def options = ranged ? [*@options, Ranged::OPTION] : @options

      Entry.members.each { |name| define_method(name) { @entry[name] } }
      alias about i_can

      # Whether a throw of real things can be tapped in.
      def thrown? = !@entry.thrown.nil?

      # @param chosen [Hash{String => Object}] by option id; what is missing is the default
      # @param settings [Hash{Symbol => Object}] of the class: fill, whole, fingers, turned, minus (as it is said)
      # @return [Kind]
      # @raise [Error::Unknown] for an option or a choice there is not
      def with(chosen = {}, settings = {})
        strange = chosen.keys.map(&:to_s) - options.map(&:id)
        if strange.any?
          has = options.empty? ? "no options" : options.map(&:id).join(", ")
          raise Error::Unknown, "#{id} has no option “#{strange.first}”; it has #{has}"
        end

        given = chosen.transform_keys(&:to_s)
        new(options.to_h { |each| [each.id, given.key?(each.id) ? each.read(given[each.id]) : each.default] },
            settings)
      end

      # Whether its items end with a sentence.
      def written?
        @written = !with.items(seed: 1, count: 1).first.written.nil? if @written.nil?
        @written
      end

      # Good choices for a class.
      # @param current_aim [Hash{Symbol => String}] band and operation it is at; empty where that is not known yet
      # @return [Hash{String => Object}] a choice for every option
      def fitted(current_aim) = options.to_h { |each| [each.id, each.fit(current_aim)] }

      # What is drawn for an aim, the plainest first: choices of which those that can be drawn are taken.
      # @param aim [Planning::Aim] or whatever has operation, range and rung
      # @return [Array<Hash{String => Object}>]
      def sets_for(aim)
        fitted = fitted(band: aim.range, operation: aim.operation)
        [ranged ? { **fitted, "range" => aim.range } : fitted]
      end

      # @param chosen [Hash{String => Object}] a choice for every option
      # @return [Array<String>] the bands that alone it can be drawn from, with these choices
      def ranges(chosen)
        return [] unless ranged

        Problem::Band::ALL.ids.select do |band|
          with({ **chosen, "range" => band }).data(seed: 1)
        rescue Error::NotAProblem, Error::TooMany
          false
        end
      end

      # @param chosen [Hash{String => Object}] a choice for every option
      # @return [Integer, nil] the largest whole of its items; nil where its options do not say
      def reach(chosen) = options.filter_map { |each| each.reach_of(chosen[each.id]) }.max

      def to_h
        { id: id, title: title, i_can: i_can, minutes: minutes, materials: materials.map(&:to_h), cautions: cautions,
          listen_for: listen_for.map { |rung, words| { rung: rung, words: words } }, slips: slips }
      end
    end
  end
end
