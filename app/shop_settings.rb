# frozen_string_literal: true

module App
  # The shop as it is set, or as it comes.
  module ShopSettings
    NAME = "shop"

    # @return [Sandbag::Shop]
    def self.read(store)
      Sandbag::Shop.new(store.settings.read(NAME) || {})
    end

    # Refuses, by field path, settings under another name or that no shop can have.
    def self.check(name, value)
      raise Sandbag::Refusal.at("", "“#{name}” is no setting of a shop", NAME) unless name == NAME
      Sandbag::Shop.new(value)
    end

    # @param shop [Sandbag::Shop]
    def self.write(store, shop)
      store.settings.write(NAME, shop.to_h)
    end
  end
end
