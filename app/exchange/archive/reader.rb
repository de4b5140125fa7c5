# frozen_string_literal: true

module Exchange
  module Archive
    # A file as somebody sent it: looked at, and held against its schema before anything is written. How it is opened,
    # and what is in it, its kinds say: Zipped and Plain.
    class Reader
      NOT_OURS = "That is no file of a class that Rungs wrote"

      # @return [Hash] the whole of class.json
      attr_reader :document
      # @return [String] one of Holding::IDS
      attr_reader :holds

      def name = document["class"]["name"]
      def school = document["class"]["school"]
      def key = document["class"]["key"]
      def named = [name, school].reject(&:empty?).join(", ")

      # What it would bring.
      # @return [Hash{Symbol => Integer}]
      def amounts = WORDS.keys.to_h { |list| [list, document[list.to_s].size] }

      # Makes the class, for its new teacher, and all of it or nothing.
      # @param account [Records::Account]
      # @return [Records::Classroom]
      # @raise [Refused]
      def bring(account) = within { |photo| Bringing.new(document, account, &photo).call }

      # All or nothing of something that asks for photos.
      # @yield [Proc] the name of a photo → its bytes
      # @raise [Refused]
      def within(&)
        opened(&)
      rescue Sequel::ConstraintViolation, KeyError
        refuse("What stands in that file does not fit together; nothing was brought in")
      end

      private

      def refuse(words) = raise(Refused, words)

      # What it holds is counted before it is read, however small it came.
      def parsed(text, name)
        refuse("#{name} holds more than a class can") if text.count("[{") > MOST_VALUES

        JSON.parse(text, max_nesting: 20)
      rescue JSON::ParserError
        refuse("#{name} cannot be read")
      end

      # @param head [Object] with its format and version
      def newer(head)
        ours = head.is_a?(Hash) && head["format"] == FORMAT && head["version"].is_a?(Integer)
        refuse(NOT_OURS) unless ours
        refuse("That file was written by a newer Rungs; update this one first") if head["version"] > VERSION
      end

      # @param document [Hash] as an earlier version may have written it
      # @return [Hash] with the lists that have come since
      def of_now(document)
        refuse(NOT_OURS) unless document.is_a?(Hash)
        case document["version"]
        when 1
          heard = document["observations"].map { |row| { **row, "beside" => nil } }
          of_now({ **document, "version" => 2, "came_with" => [], "observations" => heard })
        when 2 then of_now({ **document, "version" => 3, "own" => [] })
        when 3
          before = { "rule" => nil, "facts_heard" => nil, "facts_known" => nil }
          { **document, "version" => VERSION, "came_with" => document["came_with"].map { |row| { **row, **before } } }
        else document
        end
      rescue NoMethodError, TypeError
        refuse(NOT_OURS)
      end

      def check
        fault = Schema.fault(document)
        refuse("In that file #{fault}") if fault
        Lists::ALL.select(&:numbered).each { |list| numbered(document[list.name.to_s]) }
        full if document["children"].count { |row| row["left_on"].nil? } > Records::Child::MOST
        in_order(document["observations"])
        document["problems"].each { |row| Rungs::Problem::Equation.parse(row["equation"]) }
        document["lesson_parts"].each { |row| try_part(row) }
        document["own"].each { |row| Rungs::Own.read(row["kind"], row["content"]) }
        TZInfo::Timezone.get(document["class"]["time_zone"])
      rescue KeyError, Rungs::Error::NotAProblem, Rungs::Error::Unreadable, Rungs::Error::Unknown,
             TZInfo::InvalidTimezoneIdentifier => e
        refuse("In that file something cannot be: #{e.message}")
      end

      def numbered(rows)
        refuse("In that file numbers are missing") unless rows.each.with_index(1).all? { |row, at| row["number"] == at }
      end

      def full = refuse("A class has at most #{Records::Child::MOST} children; in that file are more")

      # A correction comes after what it corrects.
      def in_order(rows)
        later = rows.find { |row| row["replaces_id"].to_i >= row["number"] }
        refuse("In that file answer #{later['number']} replaces one that is no earlier") if later
      end

      # Whether its items can be told: whatever else is in it, a page would fail on it.
      def try_part(row)
        details = Records::Details.read(row["details"])
        places = [*details.thrown.keys, details.count.to_i - 1]
        raise RangeError unless places.all? { |place| place.between?(-1, Lists::ITEMS - 1) }

        kind = Rungs::Activity::ALL.fetch(row["kind"]).with(details.options)
        Rungs::Own.read("part", details.own) if details.own
        details.thrown.each_value { |data| kind.item(data).steps }
      rescue NoMethodError, TypeError, ArgumentError, RangeError
        refuse("In that file a part of a lesson holds what its activity cannot tell")
      end
    end
  end
end
