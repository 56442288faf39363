# frozen_string_literal: true

require_relative "by_now"
require_relative "held"

# What a whole job tells, from complaint to signature: each stage as it stands when it is first come to, each card, and
# each stage once the job is signed.
class ToldJob
  # Template, route and what the mechanic owns. Where that is the ABS tool, the machine has ABS.
  JOBS = [
    ["kart_front_rear", "reseal_mc", "a full bench"], ["road_front_twin", "reseal_mc", "a luggage scale and a ruler"],
    ["road_clutch", "slave_work", "a full bench"], ["bike_front", "bleed", "bottles and a ruler"],
    ["snow_jackshaft", "bleed", "hands only"], ["combined", "bleed", "a full bench"],
    ["scooter_rear", "renew_mc", "a full bench"], ["road_rear", "add_mc", "a full bench"],
    ["road_front_split", "renew_hose", "a luggage scale and a ruler"],
    ["offroad_clutch", "renew_slave", "bottles and a ruler"], ["kart_bar_front", "renew_circuit", "a full bench"],
    ["bike_rear", "reend_hose", "hands only"], ["snow_driveshaft", "friction_work", "hands only"],
    ["road_front_single", "reservoir_fitting", "a luggage scale and a ruler"],
    ["atv_rear", "renew_rubber", "bottles and a ruler"], ["offroad_front", "flush", "the machine's ABS tool"],
    ["trike_rear", "slave_work", "the machine's ABS tool"], ["scooter_front", "piston_mc", "the machine's ABS tool"],
    ["road_front_twin", "remake_joint", "the machine's ABS tool"]
  ].freeze

  # Shown with every stage alike.
  ELSEWHERE = %i[now recent cautions].freeze

  # @return [String] what it is held under: the template, and .abs on a machine with ABS
  attr_reader :name

  # @param template [String]; route [String]; owned [String] of ByNow::OWNED
  def initialize(template, route, owned)
    owns = ByNow::OWNED.fetch(owned)
    abs = owns.fetch(:abs_tool, false)
    @name = abs ? "#{template}.abs" : template
    @job = JobInMemory.of_template(template, abs: abs)
    @hand = ByNow.new(@job, route, owns)
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
