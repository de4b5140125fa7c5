# frozen_string_literal: true

require "app_helper"

# Servers are changed one after the other: for a while the version before works with tables that this one has changed.
RSpec.describe "The version before, on the tables of this one" do
  let(:kept) { Dir[File.expand_path("../fixtures/statements/*.sql", __dir__)].max }
  let(:step) { File.basename(kept).to_i }
  let(:columns) { Sequel[:information_schema][:columns] }

  it "is the one before the last step" do
    expect(step).to eq(Database.latest - 1)
  end

  it "finds all that it reads" do
    lost = File.readlines(kept, chomp: true).filter_map do |sql|
      DB.synchronize do |connection|
        connection.exec("PREPARE before AS #{sql}")
        connection.exec("DEALLOCATE before")
        nil
      end
    rescue PG::Error => e
      "#{e.message.lines.first}#{sql}"
    end
    expect([File.size(kept), lost]).to match([be > 15_000, []])
  end

  # A row that says nothing of what is new.
  it "can write, since what is new in a table of then may be left out" do
    Sequel.extension :migration
    Database.as_owner do |owner|
      owner.transaction(rollback: :always) do
        owner.run("CREATE SCHEMA before; SET LOCAL search_path TO before, public")
        Sequel::Migrator.run(owner, Database::MIGRATIONS, target: step, table: Sequel[:before][:schema_info])
        then_ = columns_of(owner, "before").to_h { |row| [row.values_at(:table_name, :column_name), true] }
        tables = then_.keys.map(&:first).uniq
        new = columns_of(owner, "public").reject { |row| then_[row.values_at(:table_name, :column_name)] }
        asked_for = new.select { |row| row[:is_nullable] == "NO" && row[:column_default].nil? }
        expect(asked_for.select { |row| tables.include?(row[:table_name]) }).to eq([])
      end
    end
  end

  def columns_of(database, schema) = database.from(columns).where(table_schema: schema).all
end
