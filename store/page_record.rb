# frozen_string_literal: true

module Store
  # What a signed job's record lacks that was written when the page itself said some figures and sentences: as that page
  # said them.
  module PageRecord
    HELD_S = 15
    HAND_N = 150
    FOOT_N = 250
    HELD_FOR_S = 60
    READ_AT_S = [0, 10, 20, 40, 60].freeze
    SET_FIRST = "reach and free-stroke screws set first. Never none."

    # @param plain [Hash] any document; only a record of a signed job has stages by their names
    # @return [Hash]
    def self.filled(plain)
      SignedStages.fill(plain) { |id, view| filled_stage(id, view) }
    end

    def self.filled_stage(id, view)
      case id
      when "bleed" then {**view, "tool" => {"held_s" => HELD_S, **view["tool"]}}
      when "feel" then {"hold_test" => hold_test(view.dig("control", "limb")), **view}
      when "fit" then {"still_to_do" => [], **view, **free_play(view["free_play"])}
      else view
      end
    end
    private_class_method :filled_stage

    def self.hold_test(limb)
      {"force_n" => (limb == "foot") ? FOOT_N : HAND_N, "seconds" => HELD_FOR_S, "times_s" => READ_AT_S}
    end
    private_class_method :hold_test

    def self.free_play(play)
      return {} unless play&.key?("drive")
      {"free_play" => {"range" => range(play), **play.except("drive", "tip_mm", "piston_mm")}}
    end
    private_class_method :free_play

    def self.range(play)
      return "#{play["drive"]}: #{SET_FIRST}" unless play["tip_mm"]
      tip, piston = %w[tip_mm piston_mm].map { |place| play[place].map { |each| format("%.1f", each) }.join(" to ") }
      "#{play["drive"]}: #{tip} mm at the tip, #{piston} mm at the piston. Default."
    end
    private_class_method :range
  end
end
