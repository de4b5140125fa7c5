# frozen_string_literal: true

module Pages
  module Keeping
    # What is brought in: a file that was looked at, or a child that was offered.
    module Coming
      # Of this person and class, as long as it is kept.
      def upload
        @upload ||= Records::Upload.first(id: params[:upload].to_i, account_id: person.id, classroom_id: room.id) ||
                    refuse("That file is not kept any more; choose it again")
      end

      # What was chosen on the page, by name, as texts.
      def chosen
        form = checked(InContract)
        texts = %i[columns whose].filter_map do |name|
          said = params[name].to_h.select { |_, text| text.is_a?(String) && text != "" }
          [name.to_s, said] if params[name]
        end
        { **texts.to_h, "adding" => form[:adding] == true, "from" => form[:from] }.compact
      end

      # @return [Records::ChildOffer] of another class
      def offer
        @offer ||= Records::ChildOffer.by_code(params[:code])&.then { |it| it unless it.classroom_id == room.id } ||
                   refuse("Nobody is offered by that code; it works once, and for a week")
      end

      def coming
        Exchange::Incoming::Children.new(Exchange::Archive::Offered.new(offer.child), room, person, chosen)
      end

      def looked(job)
        result_of(job) => { part:, shows: }
        preview part, shows, "in/#{job.asked['upload']}"
      end

      def preview(part, looked, at)
        show PreviewPage.new(visitor, part: part, looked: looked, here: "#{here}/#{at}")
      end
    end
  end
end
