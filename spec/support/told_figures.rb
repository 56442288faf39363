# frozen_string_literal: true

require "digest"
require_relative "by_now"

# Every figure that a whole job tells, from complaint to signature: of each stage as it stands when it is first come to,
# of each card, and of each stage once the job is signed. Words are left out: only numbers, ids and yes or no.
class ToldFigures
  # A figure may differ in its seventh digit from one machine to another.
  DIGITS = 6
  # An id is one word.
  ID = /\A[\w.:-]+\z/
  NUMBER = /\d+(?:\.\d+)?/
  # Shown with every stage alike.
  ELSEWHERE = %i[now recent cautions].freeze

  # @param template [String]; route [String]; owns [Hash] of ByNow::OWNED
  def initialize(template, route, owns)
    @job = JobInMemory.of_template(template)
    @hand = ByNow.new(@job, route, owns)
  end

  # @return [Hash{String => Array<String>}] part of the job => its figures, each with its place
  def parts
    first = {}
    @hand.work { |stage| first["#{stage} first"] ||= shown(stage) }
    signed = @job.state.stages.keys.to_h { |stage| ["#{stage} signed", shown(stage)] }
    cards = {"cards" => @hand.cards.each_with_index.to_h { |card, place| [place.to_s, card.except(:title, :detail)] }}
    {**first, **signed, **cards}.flat_map { |part, view|
      view.map { |key, value| ["#{part} #{key}", flat(key.to_s, value)] }
    }.to_h.reject { |_, figures| figures.empty? }
  end

  # @return [Hash{String => String}] part of the job => a short digest of its figures
  def digests
    parts.transform_values { |figures| Digest::SHA256.hexdigest(figures.join("\n"))[0, 8] }
  end

  private

  def shown(stage)
    @job.view(stage).except(*ELSEWHERE)
  end

  def flat(place, value)
    case value
    when Hash then value.flat_map { |key, each| flat("#{place}.#{key}", each) }
    when Array then value.each_with_index.flat_map { |each, index| flat("#{place}.#{index}", each) }
    when Numeric then ["#{place} #{format("%.#{DIGITS}g", value)}"]
    when String then said(place, value)
    else ["#{place} #{value.inspect}"]
    end
  end

  # The figures of a sentence.
  def said(place, text)
    return ["#{place} #{text}"] if text.match?(ID)
    figures = text.scan(NUMBER)
    figures.empty? ? [] : ["#{place} #{figures.join(" ")}"]
  end
end
