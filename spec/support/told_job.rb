# frozen_string_literal: true

require_relative "by_now"
require_relative "held"

# What a whole job tells, from complaint to signature: each stage as it stands when it is first come to, each card, and
# each stage once the job is signed.
class ToldJob
  # Shown with every stage alike.
  ELSEWHERE = %i[now recent cautions].freeze

  # @param template [String]; route [String]; owned [String] of ByNow::OWNED
  def initialize(template, route, owned)
    @job = JobInMemory.of_template(template)
    @hand = ByNow.new(@job, route, ByNow::OWNED.fetch(owned))
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
