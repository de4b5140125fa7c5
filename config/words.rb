# frozen_string_literal: true

require "i18n"

I18n.load_path += Dir[File.expand_path("words/*.yml", __dir__)]
I18n::Backend::Simple.include(I18n::Backend::Fallbacks)
I18n.available_locales = %i[en en-US]
I18n.default_locale = :en
