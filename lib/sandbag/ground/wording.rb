# frozen_string_literal: true

module Sandbag
  # How the words of the tables are set into a sentence. What a user typed is never changed.
  module Wording
    # @return [String] as the start of a sentence
    def self.sentence(words)
      words.sub(/\A\p{Ll}/, &:upcase)
    end

    # A label as it stands inside a sentence: "Seal kit" becomes "seal kit", "ABS lamp" and "DOT 4" stay.
    # @param label [String] of a table
    def self.inside(label)
      label.match?(/\A\p{Lu}(?:\p{Ll}|\z|\s)/) ? label[0].downcase + label[1..] : label
    end

    # From here on a time is said in minutes, s.
    MINUTES_FROM_S = 120

    # @param seconds [Float]
    # @return [String] in whole seconds or minutes, rounded up: it is waited for
    def self.duration(seconds)
      (seconds < MINUTES_FROM_S) ? "#{seconds.ceil} s" : "#{(seconds / 60.0).ceil} min"
    end

    # Four significant figures, as a mechanic would write a number down.
    # @param number [Numeric]
    def self.figures(number)
      format("%.4g", number)
    end

    # A refusal quotes at most so many characters of what was typed.
    LONGEST_QUOTED = 40

    # @param typed [Object]
    # @return [String] in quotation marks
    def self.quoted(typed)
      "“#{typed.to_s[0, LONGEST_QUOTED]}”"
    end

    # @param id [String] such as cant_tell
    def self.spelled(id)
      id.tr("_", " ")
    end
  end
end
