# frozen_string_literal: true

require "digest"

module Pages
  module Shared
    # What changes something is one transaction: all of it is done or, where it is refused or breaks, nothing. And a
    # form is done once, by the key that its page gave it: pressed twice, sent again after a lost answer or from the
    # browser's back, it gets the first answer again. With something else written into it it is another form.
    class Once
      CHANGES = %w[POST PUT PATCH DELETE].freeze
      NAME = "once"

      def initialize(app)
        @app = app
      end

      def call(env)
        return @app.call(env) unless CHANGES.include?(env["REQUEST_METHOD"])

        answer = nil
        DB.transaction(auto_savepoint: true) do
          answer = once(Rack::Request.new(env))
          raise Sequel::Rollback if answer.first >= 400
        end
        answer
      end

      private

      def once(request)
        form = form_of(request) or return @app.call(request.env)
        return again(request, **Records::AnsweredForm.answered(form)) unless Records::AnsweredForm.take(form)

        @app.call(request.env).tap do |status, headers, _|
          Records::AnsweredForm.answer(form, status: status, location: headers["location"])
        end
      end

      # @return [Hash{Symbol => String}, nil] none for what has no key, or one that no page gave
      def form_of(request)
        key = request.POST[NAME]
        return unless key.is_a?(String) && key.match?(/\A[\w-]{8,64}\z/)

        { whose: whose(request.env), key: key, sent: Digest::SHA256.hexdigest("#{request.path} #{said(request.POST)}") }
      end

      # An account; before somebody is signed in, a session.
      def whose(env)
        visitor = Visitor.of(env)
        return "account #{visitor.signed_in}" if visitor.signed_in?

        "session #{Digest::SHA256.hexdigest(visitor.session['csrf'].to_s)}"
      end

      # What was written, chosen and added; of a file what is in it.
      def said(value)
        case value
        when Hash
          file = value[:tempfile]
          return Digest::SHA256.file(file.path).hexdigest if file

          value.except("authenticity_token").transform_values { |each| said(each) }
        when Array then value.map { |each| said(each) }
        else value
        end
      end

      # The first answer again; a page that was shown then is loaded as it is now.
      def again(request, status:, location:, **)
        return [status, { "location" => location }, []] if location
        return [200, { "hx-refresh" => "true", "content-type" => "text/html; charset=utf-8" }, []] if htmx?(request)

        [303, { "location" => request.referer || "/" }, []]
      end

      def htmx?(request) = request.has_header?("HTTP_HX_REQUEST")
    end
  end
end
