# frozen_string_literal: true

source "https://rubygems.org"

ruby ">= 3.1", "< 3.5"

gem "bcrypt"
gem "dry-schema", "< 1.14" # 1.14 does not parse on Debian's Ruby 3.1.2
gem "dry-validation"
gem "erubi"
gem "i18n"
gem "icalendar", require: false
gem "image_processing"
gem "json_schemer", require: false
gem "mail", require: false
gem "pg"
gem "prawn"
gem "prawn-svg"
gem "prometheus-client", require: false
gem "puma"
gem "rack-protection"
gem "rack-session"
gem "rack-timeout", require: false
gem "rodauth"
gem "rqrcode"
gem "ruby-vips"
gem "rubyzip", require: false
gem "sequel"
gem "sequel_pg", require: false
gem "sinatra", require: "sinatra/base"
gem "tilt"
gem "tzinfo"
gem "tzinfo-data"
gem "zeitwerk"

group :test do
  gem "axe-core-rspec"
  gem "capybara"
  gem "erb_lint", require: false
  gem "parallel_tests", require: false
  gem "rack-test"
  gem "rspec"
  gem "rubocop", require: false
  gem "rubocop-performance", require: false
  gem "rubocop-rspec", require: false
  gem "rubocop-sequel", require: false
  gem "selenium-webdriver"
  gem "simplecov", require: false
  gem "timecop"
end
