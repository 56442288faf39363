# frozen_string_literal: true

require_relative "by_now"
require_relative "held"

# What a whole job tells, from complaint to signature: each stage as it stands when it is first come to, each card, and
# each stage once the job is signed.
class ToldJob
  # Template, route and what the mechanic owns.
  JOBS = [
    ["kart_front_rear", "reseal_mc", "a full bench"], ["road_front_twin", "reseal_mc", "a luggage scale and a ruler"],
    ["road_clutch", "slave_work", "a full bench"], ["bike_front", "bleed", "bottles and a ruler"],
    ["snow_jackshaft", "bleed", "hands only"], ["combined", "bleed", "a full bench"],
    ["scooter_rear", "renew_mc", "a full bench"], ["road_rear", "add_mc", "a full bench"],
    ["road_front_split", "renew_hose", "a luggage scale and a ruler"],
    ["offroad_clutch", "renew_slave", "bottles and a ruler"], ["kart_bar_front", "renew_circuit", "a full bench"],
    ["bike_rear", "reend_hose", "hands only"], ["snow_driveshaft", "friction_work", "hands only"],
    ["road_front_single", "reservoir_fitting", "a luggage scale and a ruler"],
    ["atv_rear", "renew_rubber", "bottles and a ruler"]
  ].freeze
  # The same on machines with ABS.
  WITH_ABS = [
    %w[offroad_front flush], %w[trike_rear slave_work], %w[scooter_front piston_mc], %w[road_front_twin remake_joint]
  ].map { |template, route| [template, route, "the machine's ABS tool"].freeze }.freeze

  # Shown with every stage alike.
  ELSEWHERE = %i[now recent cautions].freeze

  # @param template [String]; route [String]; owned [String] of ByNow::OWNED; abs [Boolean] the machine has ABS
  def initialize(template, route, owned, abs: false)
    @job = JobInMemory.of_template(template, abs: abs)
    @hand = ByNow.new(@job, route, ByNow::OWNED.fetch(owned))
  end

  def signed?
    @job.state.signed?
  end

  # @return [Hash{String => Object}] part of the job => what it tells
  def parts
    first = {}
    @hand.work { |stage| first["#{stage} first"] ||= ToldJob.shown(@job, stage) }
    signed = @job.state.stages.keys.to_h { |stage| ["#{stage} signed", ToldJob.shown(@job, stage)] }
    cards = {"cards" => @hand.cards.each_with_index.to_h { |card, place| [place, card.except(:title, :detail)] }}
    {**first, **signed, **cards}.flat_map { |part, view|
      view.map { |key, value| ["#{part} #{key}", value] }
    }.to_h
  end

  def self.shown(job, stage)
    job.view(stage).except(*ELSEWHERE)
  end
end
