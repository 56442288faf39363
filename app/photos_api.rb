# frozen_string_literal: true

module App
  # /api/photos: only ever pictures, never a page.
  class PhotosApi < Base
    get "/:id" do |id|
      jpeg = store.photos.jpeg(id) || raise(Store::Missing.new("photo", id))
      content_type "image/jpeg"
      headers "content-disposition" => "inline; filename=\"photo.jpg\""
      jpeg.to_s
    end
  end
end
