# frozen_string_literal: true

# What bin/rungs-admin does on this machine, for whoever may sit at it.
require "bundler/setup"
require_relative "cluster"

# Commands for the one who keeps the machine.
module Admin
  HELP = <<~TEXT
    bin/rungs-admin: for the one who keeps this machine

      bin/rungs-admin password ADDRESS    a new password for an account, printed once; its sessions end
  TEXT
  LETTERS = 14

  module_function

  # @return [Integer] the exit status
  def run(arguments)
    command, address, *rest = arguments
    return help(arguments) unless command == "password" && address && rest.empty?

    with_database { password(address) }
  rescue Cluster::Failure => e
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
    cluster = Cluster.new(File.expand_path("../var/postgres", __dir__)) unless ENV["DATABASE_URL"]
    started = cluster && !cluster.running?
    ENV["DATABASE_URL"] ||= cluster.start("rungs")
    require_relative "boot"
    yield
  ensure
    cluster.stop if started
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
