# frozen_string_literal: true

module Pages
  module Account
    # A pasted list: what of it would be added, before anything is.
    class ListPage < Shared::Page
      view :"account/list", title: "The list"

      MOST = ChildrenContract::MOST

      def margin = nil
      def back = "/account/classes/#{room.id}"
      def adding = list.names.first(MOST)

      # @return [Exchange::ClassList]
      def list
        @list ||= Exchange::ClassList.new(asked[:list].to_s, there: room.children.map(&:name),
                                                             off: room.off_the_list.map(&:name))
      end
    end
  end
end
