# frozen_string_literal: true

require "app_helper"

RSpec.describe "Pictures as files" do
  let(:teacher) { make_teacher }
  let(:room) { teacher[1] }
  let(:lesson) { room.start_lesson(room.today) }
  let(:part) { lesson.course.plan("jump_track") }

  before { sign_in teacher[0] }

  def picture(path) = get(path).then { |answer| [answer.status, answer.headers["content-type"], answer.body] }

  it "are of any step of any item, as SVG with its numerals and as PNG" do
    part.items.item(0).steps.each_index do |step|
      status, type, svg = picture("/pictures/#{room.id}/#{part.id}/0/#{step}.svg")
      expect([status, type]).to eq([200, "image/svg+xml"])
      expect(Nokogiri::XML(svg, &:strict).root.name).to eq("svg")
      expect(svg).to include("font-family:Andika", "base64,")
    end
    status, type, png = picture("/pictures/#{room.id}/#{part.id}/0/0.png")
    expect([status, type]).to eq([200, "image/png"])
    image = Vips::Image.new_from_buffer(png, "")
    expect(png.b).to start_with("\x89PNG".b)
    expect([image.width, image.avg]).to match([be > 600, be_between(150, 254)])
  end

  it "is of what stands on the board, both where a second picture checks the first" do
    expect(get("/pictures/#{room.id}/board.svg").status).to eq(404)
    lesson.course.go(part)
    expect(picture("/pictures/#{room.id}/board.svg").last).to include(%(role="img"))
    two = lesson.course.plan("whose_way")
    doubled = two.items.item(0).steps.index(&:beside)
    svg = picture("/pictures/#{room.id}/#{two.id}/0/#{doubled}.svg").last
    expect(Nokogiri::XML(svg).root.css("svg").size).to eq(2)
  end

  it "refuses what is not there" do
    ["/pictures/#{room.id}/#{part.id}/99/0.svg", "/pictures/#{room.id}/#{part.id}/0/99.svg",
     "/pictures/#{room.id}/#{part.id}/0/0.gif", "/pictures/#{room.id}/1x/0/0.svg",
     "/gallery/frame/999.svg", "/gallery/frame/x.svg", "/gallery/frame/0.gif"].each do |path|
      expect([path, get(path).status]).to eq([path, 404])
    end
  end

  it "are offered in the gallery, each under its number" do
    body = get("/gallery/line").body
    numbers = body.scan(%r{/gallery/line/(\d+)\.png}).flatten.map(&:to_i)
    expect(numbers).to eq([*0...numbers.size]).and have_attributes(size: be > 5)
    expect(picture("/gallery/line/#{numbers.last}.png").last.b).to start_with("\x89PNG".b)
    expect(body.scan('<svg xmlns="http://www.w3.org/2000/svg"').size).to be >= numbers.size
  end
end
