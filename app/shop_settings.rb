# frozen_string_literal: true

module App
  # The shop as it is set, or as it comes.
  module ShopSettings
    NAME = "shop"

    # @return [Array(Sandbag::Shop, Array<String>)] the shop, and the names of settings that cannot be read: defaults
    #   stand in for them
    def self.read(store)
      damaged = []
      plain = store.settings.read(NAME) { damaged = [ALL] } || {}
      begin
        [Sandbag::Shop.new(plain), damaged]
      rescue Sandbag::Refusal => refusal
        name = refusal.problems.first.pointer.split("/").first
        raise unless plain.key?(name)
        damaged += [name]
        plain = plain.except(name)
        retry
      rescue TypeError, NoMethodError
        # names and values where tables should be: nothing of it can be told apart
        [Sandbag::Shop.new, [ALL]]
      end
    end
    # Every setting at once.
    ALL = "all"

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
