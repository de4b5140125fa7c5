# frozen_string_literal: true

require "image_processing/vips"

# Readers that were not made for files from strangers are off.
Vips.block_untrusted(true)

module Records
  # A photo of a child's drawing, made smaller and without anything else that the file told (where, when, with what). It
  # belongs to a record, whichever version stands, and goes with the child.
  class Photo < Sequel::Model(:photos)
    # What cannot be kept, with the reason a teacher reads.
    class Refused < StandardError; end

    LARGEST_FILE = 20 * 1024 * 1024
    LONGEST_SIDE = 1600
    MOST_PIXELS = 50_000_000
    # One at a time, since each may take a few hundred megabytes.
    SHRINKING = Mutex.new
    private_constant :SHRINKING
    # How each kind is read, by its first bytes, whatever its name says: no other reader gets to see a file.
    LOADERS = { "jpeg" => /\A\xFF\xD8\xFF/n, "png" => /\A\x89PNG\r\n/n, "webp" => /\ARIFF....WEBP/mn,
                "heif" => /\A....ftyp/mn }.freeze

    many_to_one :child, class: "Records::Child"

    # @param file [File] as it was sent
    # @return [String] JPEG, turned upright, the longer side at most LONGEST_SIDE pixels, without metadata
    # @raise [Refused]
    def self.shrink(file)
      if file.size > LARGEST_FILE
        raise Refused,
              "A photo may have at most #{LARGEST_FILE / 1024 / 1024} MB; make it smaller and send it again"
      end

      SHRINKING.synchronize { made_small(file) }
    rescue Vips::Error
      raise Refused, "That file could not be read as a photo"
    end

    def self.made_small(file)
      head = File.binread(file.path, 16).to_s
      loader = LOADERS.find { |_, first| head.match?(first) }&.first
      raise Refused, "Send a photo as JPEG, PNG, WebP or HEIC" unless loader

      image = Vips::Image.public_send(:"#{loader}load", file.path, access: :sequential)
      large = image.width * image.height > MOST_PIXELS
      raise Refused, "That photo has too many pixels; make it smaller and send it again" if large

      made = ImageProcessing::Vips.source(file.path).loader(loader: loader)
                                  .resize_to_limit(LONGEST_SIDE, LONGEST_SIDE).convert("jpg")
                                  .saver(strip: true, quality: 82, background: 255).call
      made.binmode.read.tap { made.close! }
    end
    private_class_method :made_small

    # @param observation [Observation]
    # @param client_key [String] a UUID; the same photo sent twice is kept once
    def self.attach(observation, content, client_key:, taken_at: Time.now)
      dataset.insert_conflict(target: %i[classroom_id client_key])
             .insert(classroom_id: observation.classroom_id, child_id: observation.child_id,
                     first_key: observation.first_key, client_key: client_key,
                     taken_at: taken_at, content: Sequel.blob(content))
    end

    # What lists need: all but the picture itself.
    def self.listed = select(:id, :classroom_id, :child_id, :first_key, :taken_at).order(:taken_at, :id)

    # @return [Array<Photo>] of one record
    def self.of_record(classroom, key) = listed.where(classroom_id: classroom.id, first_key: key).all

    # @return [Array<Photo>] of a child's records that stand
    def self.of_child(child)
      taken = listed.where(classroom_id: child.classroom_id, child_id: child.id).all
      return taken if taken.empty?

      of = { classroom_id: child.classroom_id, first_key: taken.map(&:first_key) }
      standing = Observation.standing.where(of).select_map(:first_key)
      taken.select { |photo| standing.include?(photo.first_key) }
    end

    # @return [Photo, nil]
    def self.find_in(classroom, id)
      id.to_s.match?(/\A\d{1,18}\z/) ? first(classroom_id: classroom.id, id: id.to_i) : nil
    end
  end
end
