# frozen_string_literal: true

module Pages
  module Account
    # What the forms of signing in are made of.
    module Fields
      # How five children told of eight and five, each on another rung.
      SAID = { 5 => "I just know it.", 4 => "Eight and two fill the ten, and three more.",
               3 => "Five and five, and three.", 2 => "Eight … nine, ten, eleven, twelve, thirteen.",
               1 => "One, two, three …" }.freeze

      def field(**locals) = render("_field", locals: locals)
      def new_password(**locals) = field(type: "password", autocomplete: "new-password", **locals)
      def said_of_eight_and_five = SAID
    end
  end
end
