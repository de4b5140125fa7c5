# frozen_string_literal: true

# Every form that a page reached by links shows, each as a browser would send it.
module Forms
  # A form with one of its buttons: where it goes and what it sends.
  Form = Struct.new(:page, :action, :fields, keyword_init: true) do
    # The same form on another page, with other numbers, is no other form.
    def kind = [action.gsub(/\d+/, "#").sub(/\?.*/, ""), fields.except("once", "authenticity_token").keys.sort]
    def to_s = "#{action} on #{page}"
  end

  # Pages are told apart by their pattern; of each kind the first.
  # @param from [Array<String>] paths
  # @return [Array<Form>]
  def forms_from(*from, most: 200)
    seen, waiting, found = {}, from, {}
    while (path = waiting.shift) && seen.size < most
      next if seen[like(path)]

      seen[like(path)] = path
      page = page_at(path) or next
      forms_on(page, path).each { |form| found[form.kind] ||= form }
      waiting.concat(page.css("a[href^='/']").map { |link| link["href"].sub(/#.*/, "") })
    end
    found.values
  end

  # The fields that a browser sends, with the first choice of each where none is made.
  def fields_of(form)
    form.css("input[name], select[name], textarea[name]").each_with_object({}) do |field, all|
      next if %w[checkbox radio].include?(field["type"]) && field["checked"].nil?

      all[field["name"]] = value_of(field) unless field["type"] == "file"
    end
  end

  private

  def like(path) = path.gsub(/\d+/, "#").gsub(/=[^&]*/, "=")

  def page_at(path)
    answer = get(path)
    Nokogiri::HTML5(answer.body) if answer.status == 200 && answer.content_type.to_s.start_with?("text/html")
  end

  def forms_on(page, path)
    page.css("form[method=post]").flat_map do |form|
      fields = fields_of(form)
      buttons = form.css("button[name]")
      sent = buttons.empty? ? [{}] : buttons.map { |button| { button["name"] => button["value"].to_s } }
      sent.map { |button| Form.new(page: path, action: form["action"].to_s, fields: fields.merge(button)) }
    end
  end

  def value_of(field)
    return field["value"].to_s unless field.name == "select"

    (field.at_css("option[selected]") || field.at_css("option"))&.[]("value").to_s
  end
end
