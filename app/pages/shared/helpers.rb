# frozen_string_literal: true

require "digest"

module Pages
  module Shared
    # What every view may call, whoever renders it.
    module Helpers
      include Printing::Wording

      PUBLIC = File.join(Rungs::ROOT, "public")
      DIGESTS = Hash.new do |all, name|
        file = File.join(PUBLIC, "assets", name)
        all[name] = Digest::SHA256.file(file).hexdigest[0, 10]
      end

      # A page is made of some fifty pieces; each is read once and then rendered without being looked for again.
      PARTIALS = Hash.new do |all, name|
        file = File.join(Rungs::ROOT, "app/pages", "#{name}.erb")
        all[name] = Tilt::ErubiTemplate.new(file, escape_html: true)
      end

      def partial(name, **locals) = PARTIALS[name].render(self, locals)

      # Those that every page writes with.
      FONTS = %w[source-sans-3-latin-400-normal source-sans-3-latin-600-normal andika-latin-400-normal].freeze

      # The address of a shipped file, which changes when the file does.
      def asset(name) = "/assets/#{name}?v=#{DIGESTS[name]}"

      def brand_ladder = Drawings::Ladder.draw(3, secure: true, css: "ladder")
      def h(text) = Rack::Utils.escape_html(text.to_s)
      def csrf = visitor.csrf

      # What every form that is posted carries: that it comes from a page of this session, and a key by which it is done
      # once.
      def form_fields
        %(<input type="hidden" name="authenticity_token" value="#{h(csrf)}">) +
          %(<input type="hidden" name="#{Once::NAME}" value="#{SecureRandom.uuid}">)
      end

      def minutes(seconds) = format("%d:%02d", *seconds.divmod(60))

      # As this class calls it.
      # @param setting ["sentence", "frame"]
      def words(setting) = I18n.t("words.#{room.setting(setting)}")

      # @param kind [Class] of Rungs::Picture::KINDS
      def picture_title(kind) = kind.called_by ? words(kind.called_by) : kind.title.downcase

      # "count on 4 · make ten 2"
      def counted(bar)
        heard = Rungs::Strategy::Rung::ALL.select { |rung| bar.counts[rung.level - 1].positive? }
        heard.map { |rung| "#{rung.title.downcase} #{bar.counts[rung.level - 1]}" }.join(" · ")
      end

      # The picture that shows what an item is about, not the question alone.
      # @return [Rungs::Picture::Layout]
      def face(item) = (item.steps.find { |step| step.name != "ask" } || item.steps.first).layout

      # What an activity looks like, before anything is chosen.
      def cover(activity) = face(activity.with.items(seed: 1).first)

      # So many times as long as high, and a picture is a line when small; so many items are looked at for another.
      FLAT = 5
      LOOKED_AT = 4
      private_constant :FLAT, :LOOKED_AT

      # The small picture that a part stands with wherever it is listed: of its first item that does not lie flat; where
      # all do, a piece of its first.
      def part_picture(part)
        first = part.items.kind.face || part.items.item(part.items.first)
        others = part.items.size.times.lazy.take(LOOKED_AT).map { |index| part.items.item(index) }
        layouts = ([first].lazy + others).map { |item| face(item) }
        layout = layouts.find { |each| each.width <= FLAT * each.height } || layouts.first
        Drawings::Picture.draw(layout, most: FLAT)
      end

      # What a planned part holds, in a line.
      def part_line(part) = [part.note, part.items.outline].compact.join(" · ")

      # What each rung would sound like with a problem's numbers, by its id; nil where they do not invite it.
      def sounds_of(problem) = Rungs::Strategy::Path.sounds(problem).transform_values { |says| says && "“#{says}”" }

      SUM = /(?:\d+|□|\?)(?: (?:[+−=]|&lt;|&gt;) (?:\d+|□|\?))+/
      private_constant :SUM

      # Words with their equations unbroken, a box drawn, not typed.
      def equation(text)
        Rack::Utils.escape_html(text).gsub(SUM) { |sum| "<span class=\"unbroken\">#{sum}</span>" }
                   .gsub("□", '<span class="box" role="img" aria-label="what number"></span>')
      end

      # The lesson to plan for, in words.
      def coming_lesson = coming_day == today ? "today’s lesson" : "the lesson of #{long_date(coming_day)}"

      # "today", "Friday", "Friday 13 November", "9 October": days of two weeks by their weekday.
      def day_named(day, today)
        case today - day
        when 0 then "today"
        when 1..6 then I18n.l(day, format: "%A")
        when 7..13 then long_date(day)
        else short_date(day)
        end
      end
    end
  end
end
