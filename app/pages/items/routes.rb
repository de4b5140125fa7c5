# frozen_string_literal: true

module Pages
  module Items
    # Changes the items of a part by hand, before the lesson and in it.
    class Routes < Shared::Tab
      needs :plan, see: :see_plan

      before("/:room/:part") { @part = room.part(params[:part]) || halt(404) }

      get("/:room/:part") { show Page.new(visitor, @part) }

      post "/:room/:part" do
        form = checked(ItemsContract)
        carry_out(form)
        redirect "/items/#{room.id}/#{@part.id}#{"#item-#{form[:item]}" if form[:item]}"
      rescue Rungs::Error => e
        status 422
        show Page.new(visitor, @part, trouble: e.message, **form)
      end

      helpers do
        def carry_out(form)
          items = Records::ItemsByHand.new(@part)
          item = form[:item].to_i
          refuse("There is no such item in this part") unless item < @part.items.size
          case form[:do]
          when "change" then items.change(item, form[:numbers].to_a)
          when "add" then items.add(form[:numbers].to_a)
          when "out" then items.take_out(item)
          when "anew" then items.draw_anew(Random.rand(1..9999))
          else items.shift(item, form[:do] == "earlier" ? -1 : 1)
          end
        end
      end
    end
  end
end
