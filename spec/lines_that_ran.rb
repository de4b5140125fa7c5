# frozen_string_literal: true

require "coverage"
require "simplecov"

# Which lines ran, not how often: the specs are a fifth quicker for it. What each process saw is put together by
# config/test.rb when all have ended.
module LinesThatRan
  WATCHED = %w[lib app db/demo].map { |folder| File.join(SimpleCov.root, folder, "") }.freeze

  # @param name [String] of this process among those of a run
  def self.watch(name)
    SimpleCov.coverage_dir(File.join(ENV.fetch("RUNGS_VAR"), "coverage"))
    Coverage.start(oneshot_lines: true)
    at_exit { SimpleCov::ResultMerger.store_result(SimpleCov::Result.new(seen, command_name: name)) }
  end

  def self.seen
    watched = Coverage.result.select { |file, _| file.start_with?(*WATCHED) }
    watched.to_h { |file, ran| [file, { "lines" => lines(file, ran[:oneshot_lines]) }] }
  end

  # @return [Array<Integer, nil>] a number for each line of a file: whether it ran; nil where there is nothing to run
  def self.lines(file, ran)
    Coverage.line_stub(file).tap { |all| ran.each { |line| all[line - 1] = 1 } }
  end
end
