# frozen_string_literal: true

# Every kind of statement by which this version reads while a teacher looks at everything, a line each. A landing that
# adds a migration keeps those of the version before it (spec/fixtures/statements), made in a checkout of that one, on a
# database with a class in it:  ruby spec/programs/statements.rb > spec/fixtures/statements/034.sql
SENT = [] # rubocop:disable Style/MutableConstant
require_relative "../../config/boot"

# Put into the database connection.
module Sent
  def log_connection_yield(sql, conn, args = nil)
    SENT << sql
    super
  end
end

DB.extend(Sent)
require "stringio"
$stdout = StringIO.new
require_relative "see_class"
$stdout = STDOUT

# Numbers, texts and lists of either as one of their kind, so that the same statement is seen to be the same.
def kind(sql)
  sql.sub(/\APREPARE \S+ AS /, "").gsub(/'(?:[^']|'')*'/, "''").gsub(/(?<![\w$"])\d+(?:\.\d+)?\b/, "0")
     .gsub(/(?:0|'')(?:, (?:0|''))+/) { |list| list.split(", ").first }
end

known = SENT.grep(/\A(SELECT|WITH|PREPARE)\b/i).uniq { |sql| kind(sql) }
puts known.map { |sql| sql.sub(/\APREPARE \S+ AS /, "").gsub(/\s+/, " ") }.sort
