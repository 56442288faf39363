# frozen_string_literal: true

require "digest"

# What a thing tells, held in spec/fixtures/told by a short digest of each of its parts. Of a sentence only its figures
# are held, and that it is there: its words may change.
module Held
  FOLDER = File.expand_path("../fixtures/told", __dir__)
  # A figure may differ in its seventh digit from one machine to another.
  DIGITS = 6
  # An id is one word.
  ID = /\A[\w.:-]+\z/
  NUMBER = /\d+(?:\.\d+)?/

  # @return [Array<String>] every number, id, yes and no in a value, each with its place
  def self.figures(value, place = "")
    case value
    when Hash then value.flat_map { |key, each| figures(each, "#{place}.#{key}") }
    when Array
      ["#{place} #{value.size}", *value.each_with_index.flat_map { |each, at| figures(each, "#{place}.#{at}") }]
    when Numeric then ["#{place} #{format("%.#{DIGITS}g", value)}"]
    when String then ["#{place} #{value.match?(ID) ? value : value.scan(NUMBER).join(" ")}"]
    else ["#{place} #{value.inspect}"]
    end
  end

  # @param parts [Hash{String => Object}] @return [Array<String>] each part's name and digest
  def self.lines(parts)
    parts.map { |name, value| "#{name} #{Digest::SHA256.hexdigest(figures(value).join("\n"))[0, 8]}" }
  end
end

# A change of a figure is meant, and has its line in CHANGELOG; HOLD=1 holds the new ones. bench/told.rb prints them.
RSpec::Matchers.define :tell_as_held do |name|
  match do |parts|
    file = "#{Held::FOLDER}/#{name}.txt"
    told = Held.lines(parts)
    File.write(file, "#{told.join("\n")}\n") if ENV["HOLD"]
    held = File.readlines(file, chomp: true)
    @other = ((held - told) | (told - held)).map { |line| line.rpartition(" ").first }.uniq
    @other.empty?
  end

  failure_message { "other figures in #{@other.first(20).join(", ")}: bench/told.rb prints them" }
end
