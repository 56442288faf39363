# frozen_string_literal: true

module Sandbag
  # Turns what was typed under some names into the core's units, by rules that stand in the knowledge (entry_kinds.yml,
  # stock_moves.yml, shelf_fields.yml).
  module DataReader
    # @param rules [Hash] name => {type, and the limits of the type}; a name ending in ? may be absent
    # @param given [Hash] what was typed
    # @return [Hash] name => value read
    # Refuses, at the name, an unknown or missing name, and values outside their limits.
    def self.read(rules, given)
      names = rules.keys.map { |name| name.delete_suffix("?") }
      unknown = given.keys - names
      if unknown.any?
        raise Refusal.at(unknown.first, "not part of this entry", names.empty? ? "nothing" : names.join(", "))
      end
      rules.each_with_object({}) do |(name, rule), read|
        plain = name.delete_suffix("?")
        next if name.end_with?("?") && given[plain].nil?
        read[plain] = value(rule, given[plain], plain)
      end
    end

    # @return what one rule makes of what was typed
    def self.value(rule, typed, name)
      Refusal.within(name) do
        case rule["type"]
        when "text" then text(typed, rule["max"], name)
        when "person" then person(typed, rule["max"], name)
        when "id" then known(typed, ids_of(rule), name)
        when "boolean" then boolean(typed, name)
        when "money" then Money.parse(typed)
        when "table" then table(typed, name)
        when "names" then names(typed, rule["max"], name)
        else QuantityReader.new(rule, name).read(typed)
        end
      end
    end

    # Line breaks and tabs belong to a text; other signs that nobody can see do not.
    UNSEEN = /[[:cntrl:]&&[^\n\r\t]]/

    def self.text(typed, max, name)
      raise Refusal.at("", "#{name} holds a sign that cannot be seen", "letters, figures and signs") if
        typed.is_a?(String) && typed.match?(UNSEEN)
      return typed.strip if typed.is_a?(String) && !typed.strip.empty? && typed.length <= max
      raise Refusal.at("", "#{name} is missing or too long", "text of 1 to #{max} characters")
    end

    # Somebody's name: spaces and signs alone are nobody's.
    def self.person(typed, max, name)
      read = text(typed, max, name)
      raise Refusal.at("", "#{name} names nobody", "a name with letters in it") if Person.none?(read)
      raise Refusal.at("", "#{name} is more than a line", "a name on one line") if read.match?(/[[:cntrl:]]/)
      read
    end

    # @return [Array<String>] ids that a rule's table has, or its tables
    def self.ids_of(rule)
      (rule["tables"] || [rule["table"]]).flat_map { |table| Tables.ids(table) }
    end

    def self.known(typed, ids, name)
      return typed if typed.is_a?(String) && ids.include?(typed)
      raise Refusal.at("", "#{name} #{Wording.quoted(typed)} is not known", ids.join(", "))
    end

    def self.boolean(typed, name)
      return typed if [true, false].include?(typed)
      raise Refusal.at("", "#{name} is neither true nor false", "true, false")
    end

    # Read further by whoever knows what it holds.
    def self.table(typed, name)
      return typed if typed.is_a?(Hash)
      raise Refusal.at("", "#{name} is not a set of named values", "an object")
    end

    # A few ids, each once.
    def self.names(typed, max, name)
      list = typed.is_a?(Array) && typed.all? { |each| each.is_a?(String) && each.length.between?(1, 120) }
      return typed.uniq if list && typed.size.between?(1, max)
      raise Refusal.at("", "#{name} is not a list of ids", "1 to #{max} ids")
    end
    private_class_method :text, :ids_of, :person, :known, :boolean, :table, :names
  end
end
