# frozen_string_literal: true

# What bin/rungs-admin does on this machine, for whoever may sit at it.
# Needs nothing but what bin/start installed.
require "bundler/setup"
require_relative "../cluster"
require_relative "../backups"
require_relative "../in_use"
require_relative "admin/help"

# Commands for the one who keeps the machine.
module Admin
  LETTERS = 14
  UNCHANGED = "Nothing was changed."
  # How many arguments each command takes after its name.
  COMMANDS = { "password" => 1..1, "go-back" => 1..1, "backup" => 0..0, "list" => 0..0, "check" => 0..1,
               "restore" => 1..1, "tidy" => 0..1,
               "migrate" => 0..0, "reckon" => 0..0 }.freeze
  VAR = ENV.fetch("RUNGS_VAR") { File.expand_path("../../var", __dir__) }

  module_function

  # @return [Integer] the exit status
  def run(arguments)
    command, *rest = arguments
    return help(arguments) unless COMMANDS[command]&.cover?(rest.size)

    with_database { public_send(command.tr("-", "_"), *rest) }
  rescue Cluster::Failure, Copies::Failure, InUse::Busy => e
    complain e.message
  end

  def help(arguments)
    known = [[], ["--help"]].include?(arguments)
    return complain(wrong(*arguments)) unless known

    puts HELP
    0
  end

  # A command that is there says what it needs.
  def wrong(command, *rest)
    return "“#{[command, *rest].join(' ')}” means nothing here.\n\n#{HELP}" unless COMMANDS.key?(command)

    usage = HELP.lines.find { |line| line.include?("bin/rungs-admin #{command}") }
    "This is how it is written: #{usage[/bin.*?(?=  )/]}"
  end

  def complain(words)
    warn words
    1
  end

  # The database of DATABASE_URL, or this folder's own; started for the while where it is not running.
  def with_database
    cluster = Cluster.new(File.join(VAR, "postgres")) unless ENV["DATABASE_URL"]
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
    return complain(UNCHANGED) unless agreed?("go back", "Everything that came after this copy will be gone.")

    gone = InUse.alone(owner_url) { backups.go_back(file) }
    puts "Everything is as it was in #{File.basename(file)}. Put the version from then in place, and start it."
    tell_erased(gone)
    0
  end

  def migrate
    Database.migrate { |step,| puts "From step #{step} to #{Database.latest} …" }
    LOADER.eager_load
    Records::Ledger.catch_up { |*far| reckoned(*far) }
    puts "The tables are at step #{Database.latest}."
    0
  end

  def reckon
    LOADER.eager_load
    Records::Ledger.rebuild_all { |*far| reckoned(*far) }
    0
  end

  # How far it is, for whoever waits.
  def reckoned(done, all) = puts("What the records say is made: class #{done} of #{all}.")

  def backup
    made = Records::Copy.make(backups) or return complain("Another copy is being made.")
    puts "#{made.file}: #{made.counted} rows, #{megabytes(made.bytes)}, tried and complete."
    0
  end

  def list
    backups.all.each { |file| puts "#{file}  #{megabytes(File.size(file))}" }
    puts "There are none yet." if backups.all.empty?
    free, needs = backups.room
    puts "#{free} MB are free; the next copy needs about #{needs} MB, and six times as much while it is tried."
    0
  end

  def check(file = backups.all.last)
    return complain("There is no copy yet.") unless file

    puts "#{file}: #{backups.check(file)} rows, restored and complete."
    0
  end

  # What was erased since stays erased, and no number is given twice.
  def restore(file)
    return complain(UNCHANGED) unless agreed?("restore", "What is there now will be replaced (it is copied first).")

    InUse.alone(owner_url) do
      kept = backups.restore(file, newest: Database.latest)
      DB.disconnect
      Database.migrate
      gone = erase_again
      backups.raise_sequences
      puts "Everything is as it was in #{File.basename(file)}; what was there before is in #{kept}."
      tell_erased(gone)
    end
    0
  end

  def tell_erased(gone)
    puts "#{gone} #{gone == 1 ? 'child' : 'children'} erased since then were erased again." if gone.positive?
  end

  # Who was erased of these classes.
  # @return [Integer] how many were there again
  def erase_again
    there = backups.erased.map { |key, id| [key, Records::Child[id]] }
    same = there.select { |key, child| child && child.classroom.key == key }
    same.map(&:last).each { |child| Records::Erasing.new(child).call }.size
  end

  def tidy(how = nil)
    return help(["tidy", how]) unless [nil, "--dry-run"].include?(how)

    steps = Records::LettingGo.call(dry: !how.nil?)
    puts(steps.empty? ? "There is nothing to do." : steps)
    0
  end

  def agreed?(words, what)
    puts "#{what} Type “#{words}” to do it."
    $stdin.gets.to_s.strip == words
  end

  def owner_url = ENV["RUNGS_OWNER_URL"] || ENV.fetch("DATABASE_URL")
  def backups = Backups.new(ENV.fetch("RUNGS_BACKUPS") { File.join(VAR, "backups") }, owner_url)
  def megabytes(bytes) = "#{(bytes / (1024.0**2)).round(1)} MB"

  def password(address)
    LOADER.eager_load
    account = Records::Account.first(email: address) or return complain("No account has the address #{address}.")
    made = SecureRandom.alphanumeric(LETTERS)
    hash = BCrypt::Password.create(made, cost: Pages::Account::Configuration::COST)
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
