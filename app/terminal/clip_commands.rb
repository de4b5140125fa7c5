# frozen_string_literal: true

require "csv"

module Terminal
  # The commands of training the ear: invented clips, and how alike two people heard.
  module ClipCommands
    private

    def clips
      options([], move: String, slip: String, band: String, situation: String, code: String, seed: Integer,
                  count: Integer)
      asked = @options.slice(:move, :slip, :band, :situation, :code, :seed)
      among(:code, Rungs::Clip::CODES) if @options.key?(:code)
      scenes = Rungs::Clip::Maker.new(**asked).scenes(counted(12))
      tell({ clips: scenes.map(&:to_h) }) { scenes.map { |scene| scene_line(scene) } }
    end

    def scene_line(scene)
      said = scene.said.map { |each| each.number ? each.words : "…" }.join(", ")
      format("%-14s %-14s “%s”  %s", scene.problem, rung_title(scene.code), said, scene.why)
    end

    def agreement
      file, = options(["a file of codings"], seed: Integer)
      alike = Rungs::Clip::Agreement.new(codings(file), seed: @options.fetch(:seed, 1))
      tell(agreement_shape(alike)) { agreement_lines(alike) }
    end

    # @return [Hash] figures to four places
    def agreement_shape(alike)
      names = %i[alike kappa kappa_interval weighted weighted_interval]
      figures = names.to_h { |name| [name, alike.public_send(name)] }
      rounded = figures.transform_values do |each|
        each.is_a?(Array) ? each.map { |one| one.round(4) } : each&.round(4)
      end
      { n: alike.n, table: { rungs: Rungs::Clip::Agreement::RUNGS, counts: alike.counts }, **rounded,
        off_ladder: alike.off_ladder, differences: alike.differences.map(&:to_h) }
    end

    def agreement_lines(alike)
      lines = ["#{alike.n} answers on the ladder, #{alike.off_ladder} off it"]
      lines << "Figures from #{Rungs::Clip::Agreement::LEAST} answers on." unless alike.enough?
      lines << figure_line("kappa", alike.kappa, alike.kappa_interval)
      lines << figure_line("weighted", alike.weighted, alike.weighted_interval)
      lines.compact + alike.differences.map { |pair| "#{pair.item}: #{pair.a}, #{pair.b}" }
    end

    def figure_line(name, value, interval)
      format("%-9s %.2f  (%.2f to %.2f)", name, value, *interval) if value
    end

    # @return [Array<Rungs::Clip::Agreement::Pair>]
    def codings(file)
      rows = CSV.read(file, headers: true, encoding: "bom|utf-8")
      missing = %w[item a b] - rows.headers.compact
      raise Rungs::Error::Unreadable, "the columns are item, a and b; #{missing.join(', ')} is missing" if missing.any?

      rows.map do |row|
        Rungs::Clip::Agreement::Pair.new(item: row["item"], a: row["a"].to_s.strip, b: row["b"].to_s.strip)
      end
    rescue SystemCallError
      raise Rungs::Error::Unreadable, "there is no file “#{file}”"
    rescue CSV::MalformedCSVError, ArgumentError, EncodingError
      raise Rungs::Error::Unreadable, "“#{file}” is no table in UTF-8 text"
    end
  end
end
