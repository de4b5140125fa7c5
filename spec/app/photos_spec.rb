# frozen_string_literal: true

require "app_helper"

RSpec.describe "Photos of drawings" do
  let(:teacher) { make_teacher }
  let(:room) { teacher[1] }
  let(:child) { room.children.first }
  let(:record) do
    Records::Recorder.new(room, teacher[0]).record(child: child, problem: pose(room), code: "count_on",
                                                   client_key: SecureRandom.uuid, happened_at: Time.now)
  end

  before { sign_in teacher[0] }

  # A photo as a telephone makes it: large, on its side, and telling where it was taken.
  def photo_file(name = "drawing.jpg", width: 2400, height: 1800)
    file = File.join(Dir.mktmpdir, name)
    image = (Vips::Image.black(width, height, bands: 3) + [200, 180, 40]).cast(:uchar).copy(interpretation: :srgb)
    image = image.mutate do |each|
      each.set_type!(GObject::GSTR_TYPE, "exif-ifd3-GPSLatitude", "52/1 22/1 0/1")
      each.set_type!(GObject::GSTR_TYPE, "exif-ifd0-Make", "Harbour Camera")
      each.set_type!(GObject::GINT_TYPE, "orientation", 6)
    end
    image.write_to_file(file)
    file
  end

  def send_photo(file, key: SecureRandom.uuid, record_key: record.first_key)
    get "/listen/#{room.id}?problem=#{record.problem_id}"
    send_form "/photos/#{room.id}/records/#{record_key}", htmx: true, client_key: key,
                                                          photo: Rack::Test::UploadedFile.new(file, "image/jpeg")
    last_response
  end

  it "is made smaller, set upright, and tells nothing but the picture" do
    expect(File.binread(photo_file)).to include("Harbour Camera")
    expect(send_photo(photo_file).status).to eq(200)
    kept = Records::Photo.first(first_key: record.first_key)
    image = Vips::Image.new_from_buffer(kept.content, "")
    expect([image.width, image.height]).to eq([1200, 1600])
    expect(image.get_fields.grep(/exif|gps|xmp|iptc|icc/i)).to eq([])
    expect(kept.content).not_to include("Harbour Camera")
    get "/photos/#{room.id}/#{kept.id}"
    expect(last_response.headers).to include("content-type" => "image/jpeg", "cache-control" => "private, no-store")
    expect(last_response.body.b[0, 2]).to eq("\xFF\xD8".b)
  end

  it "takes PNG and WebP too, the same photo sent twice once" do
    key = SecureRandom.uuid
    2.times { expect(send_photo(photo_file("a.png", width: 300, height: 200), key: key).status).to eq(200) }
    expect(send_photo(photo_file("a.webp", width: 300, height: 200)).status).to eq(200)
    expect(Records::Photo.where(classroom_id: room.id).count).to eq(2)
  end

  it "lets no reader near a file that was not made for files from strangers" do
    expect { Vips::Image.svgload_buffer('<svg xmlns="http://www.w3.org/2000/svg" width="9" height="9"/>') }
      .to raise_error(Vips::Error, /blocked|not found|no known/)
  end

  it "refuses what is no photo, whatever it is called, and photos of no record" do
    { "a.jpg" => "not a photo",
      "b.svg" => "<svg xmlns='http://www.w3.org/2000/svg' width='9' height='9'><image " \
                 "href='/etc/passwd'/></svg>", "c.jpg" => "" }.each do |name, content|
      file = File.join(Dir.mktmpdir, name)
      File.write(file, content)
      expect([name, send_photo(file).status]).to eq([name, 422])
    end
    expect(last_response.body).to match(/could not be read as a photo|Send a photo/)
    expect(send_photo(photo_file, record_key: SecureRandom.uuid).status).to eq(404)
    send_form "/photos/#{room.id}/records/#{record.first_key}", htmx: true, client_key: SecureRandom.uuid, photo: "text"
    expect([last_response.status, last_response.body]).to eq([422, "Choose a photo first"])
    expect(Records::Photo.where(classroom_id: room.id).count).to eq(0)
  end

  it "is shown to that class's adults only, and goes when it is deleted, or the child" do
    send_photo(photo_file)
    photo = Records::Photo.first(classroom_id: room.id)
    clear_cookies
    stranger = make_teacher
    sign_in stranger[0]
    expect(get("/photos/#{room.id}/#{photo.id}").status).to eq(404)
    expect(get("/photos/#{stranger[1].id}/#{photo.id}").status).to eq(404)
    clear_cookies
    expect(get("/photos/#{room.id}/#{photo.id}").status).to eq(302)
    sign_in teacher[0]
    send_form "/photos/#{room.id}/#{photo.id}/delete"
    expect(get("/photos/#{room.id}/#{photo.id}").status).to eq(404)
    send_photo(photo_file)
    child.delete
    expect(Records::Photo.where(classroom_id: room.id).count).to eq(0)
  end
end
