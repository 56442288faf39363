# frozen_string_literal: true

module Sandbag
  module Circuit
    # Two controls on one far end: a foot circuit, and the hand cylinder that was added to it. Each control has a sheet
    # with its own lever, cylinder and reservoir; lines, calipers and fluid below them are the same things in both.
    module AddedHand
      # What each control has for itself; all the rest is shared.
      ITS_OWN = %w[lever master reservoir target].freeze

      # The circuit that a hand cylinder makes when it is added: lever, cylinder and feed hose of the template, and
      # everything else as the foot circuit has it.
      # @param foot [Sheet]; kind [Kind] of the circuit that it makes
      # @return [Sheet] made once for each foot circuit
      def self.sheet(foot, kind)
        foot.made([:added_hand, kind.id]) { joined_to(foot, kind) }
      end

      # @param from [Sheet] that was changed; to [Sheet] of the other control
      # @return [Sheet] the other with all that both share as the changed one has it
      def self.carried(from, to)
        shared = shared_of(from)
        hand = to.kind.has?("second_master")
        own = to.parts.select { |part| ITS_OWN.include?(part["part"]) } + (hand ? feeds(to) : [])
        root = hand ? feeds(to).first["id"] : Topology::ROOT
        Sheet.stored("kind" => to.kind.id, "parts" => own + shared.map { |part| hung(part, roots(from), root) })
      end

      def self.joined_to(foot, kind)
        template =
          Template.sheet(Tables.rows("circuit_templates").find { |row| row["kind"] == kind.id }["id"])
        own = template.parts.select { |part| ITS_OWN.include?(part["part"]) }.map { |part| added(part) }
        feed = added(template.parts_of("line").first)
        Sheet.stored("kind" => kind.id,
          "parts" => own + [feed] + shared_of(foot).map { |part| hung(part, roots(foot), feed["id"]) })
      end

      # Ids of the foot circuit are whatever the client called them.
      def self.added(part)
        part.merge("id" => "added_#{part["id"]}").freeze
      end

      # The hose from the hand cylinder to what both share.
      def self.feeds(sheet)
        sheet.kind.has?("second_master") ? sheet.parts_of("line").select { |line| line["from"] == Topology::ROOT } : []
      end

      def self.shared_of(sheet)
        sheet.parts.reject { |part| ITS_OWN.include?(part["part"]) } - feeds(sheet)
      end

      # Where what both share begins.
      def self.roots(sheet)
        [Topology::ROOT, *feeds(sheet).map { |line| line["id"] }]
      end

      def self.hung(part, from, to)
        from.include?(part["from"]) ? part.merge("from" => to).freeze : part
      end
      private_class_method :joined_to, :added, :feeds, :shared_of, :roots, :hung
    end
  end
end
