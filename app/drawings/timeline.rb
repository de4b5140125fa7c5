# frozen_string_literal: true

module Drawings
  # One child's line of time: a tall ladder, each record a mark at its rung's height (filled right, hollow wrong, a ring
  # of dots when helped), and how it is worked out as a step line.
  class Timeline
    WIDTH = 900
    HEIGHT = 330
    LEFT = 3
    RIGHT = 897
    TOP = 10
    BAND = 56
    TINTS = ["#D3E8E1", "#A3D0C4", "#66B0A1", "#2A7F72", "#0D4F47"].freeze
    INK = "#17233A"
    ACT = "#2440B8"

    # @param heard [Array<Records::Evidence::Heard>] in the order they happened
    # @param steps [Array<Records::Evidence::Step>] how it was worked out after each day, and how sure
    # @param from [Date] the left end
    # @param to [Date] the right end
    # @yield [Records::Evidence::Heard] → the address of what is behind the mark
    def initialize(heard, steps, from:, to:, &link)
      @link = link
      @heard = heard.select { |each| each.record.on_ladder? }
      @steps = steps
      @from = from
      @span = [(to - from).to_i, 1].max
      @to = to
    end

    def draw(label:)
      drawn = bands + rails + doubt + step_line + marks + dates
      Svg.picture(WIDTH, HEIGHT, drawn, label: label, css: "timeline", role: "group")
    end

    private

    def x(day) = LEFT + 112 + ((RIGHT - LEFT - 148) * (day.jd - @from.jd) / @span.to_f)
    def middle(rung) = TOP + ((5 - rung) * BAND) + (BAND / 2)

    def bands = (1..5).map { |rung| band(rung, middle(rung) - (BAND / 2) + 3) }.join

    def band(rung, y)
      tint = { fill: TINTS[rung - 1], opacity: 0.32 }
      Svg.tag(:rect, x: LEFT, y: y, width: RIGHT - LEFT, height: BAND - 6, **tint) +
        Svg.text(Rungs::Strategy::Rung.at(rung).title, x: LEFT + 10, y: y + 15, font_size: 13, fill: INK)
    end

    def rails
      rail = { y1: 2, y2: TOP + (5 * BAND) + 8, stroke: INK, stroke_width: 5, stroke_linecap: "round" }
      [LEFT, RIGHT].map { |at| Svg.tag(:line, x1: at, x2: at, **rail) }.join
    end

    def known = @known ||= @steps.select(&:works_out)

    def step_line
      return "" if known.empty?

      path = known.drop(1).map { |step| "H#{Svg.number(x(step.day))}V#{middle(step.works_out)}" }.join
      start = "M#{Svg.number(x(known[0].day))} #{middle(known[0].works_out)}"
      Svg.tag(:path, d: "#{start}#{path}H#{RIGHT - 8}", fill: "none", stroke: ACT, stroke_width: 3,
                     stroke_linejoin: "round")
    end

    # The less sure, the wider the shade around the line; silence widens it.
    def doubt
      shades = known.each_with_index.map do |step, index|
        left, right = x(step.day), (known[index + 1] ? x(known[index + 1].day) : RIGHT - 8)
        last = known[index + 1]&.day || @to
        near, far = [step.sureness, step.sureness(last)].map { |share| 4 + ((1 - share) * BAND * 0.9) }
        y = middle(step.works_out)
        corners = [[left, y - near], [right, y - far], [right, y + far], [left, y + near]].map do |at, high|
          "#{Svg.number(at.to_f)} #{Svg.number(high.to_f)}"
        end
        Svg.tag(:path, d: "M#{corners.join('L')}Z")
      end
      Svg.tag(:g, shades.join, fill: ACT, fill_opacity: 0.14)
    end

    # Marks of one day stand beside each other, and those of one rung a little apart, so that none hides another.
    def marks
      drawn = @heard.group_by { |each| each.record.day }.flat_map do |day, all|
        all.each_with_index.map do |each, index|
          mark(each, x(day) + ((index - ((all.size - 1) / 2.0)) * 15),
               middle(each.record.rung) + [4, -8, 12, -14][index % 4])
        end
      end
      Svg.tag(:g, drawn.join, fill: INK, stroke: INK, stroke_width: 2)
    end

    def mark(each, at, y)
      circle = Svg.tag(:circle, cx: at, cy: y, r: 6.5, fill: ("#FDFDFB" unless each.record.right))
      ring = if each.record.help == "alone"
               ""
             else
               Svg.tag(:circle, cx: at, cy: y, r: 9.5, fill: "none",
                                stroke_width: 1.6, stroke_dasharray: "2.5 2.5")
             end
      words = "#{I18n.l(each.record.day, format: :plain)}: #{each.equation}, #{each.summary}"
      # As large as a finger or a pointer needs.
      target = Svg.tag(:circle, cx: at, cy: y, r: 12, fill_opacity: 0, stroke: "none")
      inside = target + circle + ring + Svg.tag(:title, CGI.escapeHTML(words))
      @link ? Svg.tag(:a, inside, href: @link.call(each), aria_label: words) : Svg.tag(:g, inside)
    end

    def dates
      weeks = [@span / 28, 1].max * 7
      style = { y: HEIGHT - 12, font_size: 14, fill: "#55617A", text_anchor: "middle" }
      (@from..@to).step(weeks).map { |day| Svg.text(I18n.l(day, format: :brief), x: x(day), **style) }.join
    end
  end
end
