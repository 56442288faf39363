# frozen_string_literal: true

module Sandbag
  module Circuit
    # The circuit that a hand cylinder makes when it is added to a foot circuit: the added lever, cylinder and feed
    # hose of the template, and everything else as the foot circuit has it.
    module AddedHand
      # What comes with the hand lever; all the rest is the foot circuit's own.
      ITS_OWN = %w[lever master reservoir target].freeze

      # @param foot [Sheet]; kind [Kind] of the circuit that it makes
      # @return [Sheet] made once for each foot circuit
      def self.sheet(foot, kind)
        foot.made(:added_hand) { joined_to(foot, kind) }
      end

      def self.joined_to(foot, kind)
        template =
          Template.sheet(Tables.rows("circuit_templates").find { |row| row["kind"] == kind.id }["id"])
        own = template.parts.select { |part| ITS_OWN.include?(part["part"]) }.map { |part| added(part) }
        feed = added(template.parts_of("line").first)
        kept = foot.parts.reject { |part| ITS_OWN.include?(part["part"]) }
        Sheet.stored("kind" => kind.id, "parts" => own + [feed] + kept.map { |part| joined(part, feed) })
      end

      # Ids of the foot circuit are whatever the client called them.
      def self.added(part)
        part.merge("id" => "added_#{part["id"]}").freeze
      end

      # What hung on the foot master hangs on the feed hose.
      def self.joined(part, feed)
        (part["from"] == Topology::ROOT) ? part.merge("from" => feed["id"]).freeze : part
      end
      private_class_method :joined_to, :added, :joined
    end
  end
end
