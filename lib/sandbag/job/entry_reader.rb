# frozen_string_literal: true

module Sandbag
  module Job
    # Checks an entry's data against knowledge/entry_kinds.yml and turns what was typed into the core's units.
    module EntryReader
      # @return [Entry] the same entry with its data read
      # Refuses, at data/<name>, an unknown kind, an unknown or missing name, and values outside their limits.
      def self.read(entry)
        return entry.with_data({}) if entry.undo?
        row = Knowledge.find("entry_kinds", "#{entry.stage}.#{entry.kind}")
        unless row
          known = Knowledge.table("entry_kinds").select { |each| each["stage"] == entry.stage }.map { |each| each["kind"] }
          raise Refusal.at("kind", "#{entry.stage} has no entry called #{entry.kind}", (known + [Entry::UNDO]).join(", "))
        end
        entry.with_data(data(row["data"], entry.data))
      end

      def self.data(rules, given)
        names = rules.keys.map { |name| name.delete_suffix("?") }
        unknown = given.keys - names
        raise Refusal.at("data/#{unknown.first}", "not part of this entry", names.empty? ? "nothing" : names.join(", ")) if unknown.any?
        rules.each_with_object({}) do |(name, rule), read|
          plain = name.delete_suffix("?")
          next if name.end_with?("?") && given[plain].nil?
          read[plain] = value(rule, given[plain], plain)
        end
      end

      def self.value(rule, typed, name)
        Refusal.within("data/#{name}") do
          case rule["type"]
          when "text" then text(typed, rule["max"], name)
          when "id" then known(typed, rule["table"], name)
          when "boolean" then boolean(typed, name)
          else Circuit::QuantityReader.new(rule, name).read(typed)
          end
        end
      end

      def self.text(typed, max, name)
        return typed.strip if typed.is_a?(String) && !typed.strip.empty? && typed.length <= max
        raise Refusal.at("", "#{name} is missing or too long", "text of 1 to #{max} characters")
      end

      def self.known(typed, table, name)
        return typed if typed.is_a?(String) && Knowledge.find(table, typed)
        raise Refusal.at("", "#{name} “#{typed.to_s[0, 40]}” is not known", Knowledge.table(table).map { |row| row["id"] }.join(", "))
      end

      def self.boolean(typed, name)
        return typed if [true, false].include?(typed)
        raise Refusal.at("", "#{name} is neither true nor false", "true, false")
      end
      private_class_method :data, :value, :text, :known, :boolean
    end
  end
end
