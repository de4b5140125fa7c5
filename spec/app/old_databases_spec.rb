# frozen_string_literal: true

require "app_helper"
require "open3"

# Databases as earlier versions left them (a small made-up class of each, in fixtures/databases), brought up to now.
# Each landing that adds a migration keeps one more: pg_dump --data-only --column-inserts of such a class.
RSpec.describe "A database of an earlier version" do
  def owner_of(schema) = "#{ENV.fetch('RUNGS_OWNER_URL')}?search_path=#{schema},public"

  # Its tables as they were at a step, with a class in them.
  # @yield [Sequel::Database]
  def laid_out(schema, file, step)
    Sequel.extension :migration
    Database.as_owner { |owner| owner.run("DROP SCHEMA IF EXISTS #{schema} CASCADE; CREATE SCHEMA #{schema}") }
    db = Sequel.connect(owner_of(schema), max_connections: 1)
    db.extension :pg_json
    Sequel::Migrator.run(db, Database::MIGRATIONS, target: step, table: Sequel[schema.to_sym][:schema_info])
    db.run(File.read(file))
    db.tables(schema: schema.to_sym).each { |table| db.reset_primary_key_sequence(Sequel[schema.to_sym][table]) }
    yield db
  ensure
    db&.disconnect
    Database.as_owner { |owner| owner.run("DROP SCHEMA IF EXISTS #{schema} CASCADE") }
  end

  def seen(schema)
    urls = { "DATABASE_URL" => owner_of(schema), "RUNGS_OWNER_URL" => owner_of(schema), "TEST_ENV_NUMBER" => "" }
    out, told, status = Open3.capture3(urls, RbConfig.ruby, File.expand_path("../programs/see_class.rb", __dir__))
    status.success? ? JSON.parse(out) : raise(told)
  end

  # Every answer with its problem, and every note.
  def kept(db)
    answers = db[:observations].join(:problems, id: :problem_id).order(Sequel[:observations][:id])
    [answers.select_map(%i[child_id code rung move answer right used help story equation happened_at]),
     db[:notes].select_map(:parts).map(&:to_h)]
  end

  Dir[File.expand_path("../fixtures/databases/*.sql", __dir__)].each do |file|
    step = File.basename(file).to_i

    it "of step #{step} shows its teacher everybody, every problem, answer and note, and every item can be told",
       :deep do
      laid_out("old_#{step}", file, step) do |db|
        names, stories, before = db[:children].select_map(:name), db[:problems].select_map(%i[id story]), kept(db)
        pages, items = seen("old_#{step}").values
        expect(pages.reject { |_, (status, _)| status == 200 }).to eq({})
        expect(pages.fetch("/climb/1").last).to include(*names)
        stories.each { |id, story| expect(pages.fetch("/listen/1?problem=#{id}").last).to include(story) }
        expect(kept(db)).to eq(before)
        expect(items.values).to all(be_any)
      end
    end
  end
end
