# frozen_string_literal: true

module Sandbag
  module Job
    # The people of a shop, each with a role. Who signs, leads or checks is one of them; a shop that has named nobody
    # takes names as they are typed.
    class People
      MOST = 60
      POWERS = {"signs" => "signs a release", "leads" => "leads", "checks" => "checks as the second person"}.freeze

      # @return [Array<Hash>] name, role of roles.yml
      attr_reader :list

      # @param list [Array<Hash>] name, role
      # Refuses, by place in the list, a name that cannot be read, one person twice, and unknown roles.
      def initialize(list = [])
        raise Refusal.at("", "#{list.size} people", "up to #{MOST}") if list.size > MOST
        @list = list.each_with_index.map { |row, place| read(row, list.first(place), place) }.freeze
        freeze
      end

      # Refuses a name that is not on the list, or whose role does not have the power. Any name is accepted while the
      # list is empty.
      # @param pointer [String] where the name stands; power [String, nil] of POWERS; nil takes anybody
      def refuse(pointer, name, power = nil)
        return if list.empty?
        person = list.find { |row| row["name"] == name }
        raise Refusal.at(pointer, "#{name} is not one of the shop's people", accepted(power)) unless person
        return if power.nil? || Tables.find("roles", person["role"])[power]
        label = Wording.inside(Tables.find("roles", person["role"])["label"])
        raise Refusal.at(pointer, "#{name} is a #{label}: no #{label} #{POWERS.fetch(power)}", accepted(power))
      end

      # @return [Array<String>] names of those whose role has a power; nil takes anybody
      def able(power)
        list.select { |row| power.nil? || Tables.find("roles", row["role"])[power] }.map { |row| row["name"] }
      end

      private

      def accepted(power)
        able = able(power)
        able.empty? ? "a person with that role, under Shop" : able.join(", ")
      end

      def read(row, others, place)
        name = row["name"].strip
        raise Refusal.at("#{place}/name", "that is no name", "a name with letters") if Person.none?(name)
        twice = others.find { |other| Person.same?(other["name"], name) }
        raise Refusal.at("#{place}/name", "#{name} is there as #{twice["name"]}", "each person once") if twice
        Tables.fetch("roles", row["role"], "#{place}/role", "“#{row["role"]}” is no role")
        {"name" => name, "role" => row["role"]}.freeze
      end
    end
  end
end
