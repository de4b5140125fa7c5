# frozen_string_literal: true

# What bin/rungs-admin does on this machine, for whoever may sit at it.
# Needs nothing but what bin/start installed.
ENV["BUNDLE_WITHOUT"] ||= "test"
require "bundler/setup"
require_relative "../cluster"
require_relative "../copies"

# Commands for the one who keeps the machine.
module Admin
  HELP = <<~TEXT
    bin/rungs-admin: for the one who keeps this machine

      bin/rungs-admin password ADDRESS    a new password for an account, printed once; its sessions end
      bin/rungs-admin go-back FILE        everything as it was in a copy that bin/start made before it changed tables;
                                          Rungs has to be ended first, and the version from then be in place
  TEXT
  LETTERS = 14

  module_function

  # @return [Integer] the exit status
  def run(arguments)
    command, what, *rest = arguments
    return help(arguments) unless %w[password go-back].include?(command) && what && rest.empty?

    command == "password" ? with_database { password(what) } : go_back(what)
  rescue Cluster::Failure, Copies::Failure => e
    complain e.message
  end

  def help(arguments)
    return complain("“#{arguments.join(' ')}” means nothing here.\n\n#{HELP}") unless [[],
                                                                                       ["--help"]].include?(arguments)

    puts HELP
    0
  end

  def complain(words)
    warn words
    1
  end

  # The database of DATABASE_URL, or this folder's own; started for the while where it is not running.
  def with_database
    cluster = Cluster.new(File.expand_path("../../var/postgres", __dir__)) unless ENV["DATABASE_URL"]
    started = cluster && !cluster.running?
    ENV["DATABASE_URL"] ||= cluster.start("rungs")
    ENV["RUNGS_OWNER_URL"] ||= cluster.owner_url("rungs") if cluster
    require_relative "../boot" unless defined?(DB)
    yield
  ensure
    cluster.stop if started
  end

  # Asks first: what came after the copy is gone then.
  def go_back(file)
    puts "Everything that came after this copy will be gone. Type “go back” to do it."
    return complain("Nothing was changed.") unless $stdin.gets.to_s.strip == "go back"

    with_database do
      Copies.new(File.dirname(file), ENV["RUNGS_OWNER_URL"] || ENV.fetch("DATABASE_URL")).go_back(file)
    end
    puts "Everything is as it was in #{File.basename(file)}."
    0
  end

  def password(address)
    account = Records::Account.first(email: address) or return complain("No account has the address #{address}.")
    made = SecureRandom.alphanumeric(LETTERS)
    hash = BCrypt::Password.create(made, cost: Pages::Account::SignIn::COST)
    DB.transaction do
      DB[:account_password_hashes].insert_conflict(target: :id, update: { password_hash: hash })
                                  .insert(id: account.id, password_hash: hash)
      Records::Session.where(account_id: account.id).delete
      Records::Audit.note("keeper", account_id: account.id)
    end
    puts "The new password of #{address} is  #{made}", "Hand it over in person; it can be changed after signing in."
    0
  end
end
