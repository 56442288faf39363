# frozen_string_literal: true

module Store
  # No record has that id.
  class Missing < StandardError
    attr_reader :what, :id

    def initialize(what, id)
      @what = what
      @id = id
      super("there is no #{what} “#{id}”")
    end
  end
end
