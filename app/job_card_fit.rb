# frozen_string_literal: true

module App
  # What the job card says of Fit: torques with value, origin, tool and hand; seals counted; hoses; gaps.
  module JobCardFit
    def self.of(fit)
      said = Sandbag::Said
      [
        *fit[:torques].map { |line| [line[:label], torque(line, said)] },
        *fit[:washers].select { |stack| stack[:new] }.map { |stack| [stack[:label], washers(stack)] },
        *fit[:hoses].select { |hose| hose[:needs_mm] }.map { |hose| [hose[:label] || "Hose", hose(hose, said)] },
        *before(fit[:free_play], said),
        *play(fit[:free_play], said),
        *fit[:checks].select { |check| check.key?(:pass) }.map { |check| [check[:label], check(check, said)] },
        *reservoir(fit[:reservoir]),
        *electrics(fit[:electrics], said)
      ]
    end

    # A clash and how often the dry trial was done are in the journal; the card says how it is now.
    def self.torque(line, said)
      return "estimate: #{line[:turns]}; by #{line[:by]}" if line[:estimated]
      return "by hand: #{line[:snug]}; by #{line[:by]}" if line[:snugged]
      return "not recorded" unless line[:value_nm]
      range = line[:range]
      limits =
        "#{said.figure(range[:from_nm], :torque, "g", bare: true)} to #{said.figure(range[:to_nm], :torque, "g")}"
      origin = (range[:source] == "service_info") ? "service information" : "trade default"
      [
        said.figure(line[:value_nm], :torque, "g"),
        "of #{limits} (#{origin})",
        line[:tool],
        "by #{line[:by]}"
      ].compact.join(", ")
    end

    def self.washers(stack)
      "#{stack[:old]} old out, #{stack[:new]} new #{stack[:kind]} in, #{stack[:wanted]} wanted"
    end

    def self.hose(hose, said)
      "#{said.mm(hose[:length_mm], 0)}, needs #{said.mm(hose[:needs_mm], 0)}, #{said.mm(hose[:slack_mm], 0)} to spare"
    end

    # As it was before it moved.
    def self.before(play, said)
      (play&.fetch(:before, nil) || []).map do |figure|
        value = figure[:value]
        shown = (figure[:dimension] == "length") ? said.mm(value, 1) : Sandbag::Wording.figures(value)
        ["#{figure[:label]}, before", shown]
      end
    end

    def self.play(play, said)
      return [] unless play && play[:value_mm]
      reason = play[:by_service] && "; #{play[:by_service]}"
      [["Free play", "#{said.mm(play[:value_mm], 2)} at the #{play[:at]}#{reason}"]]
    end

    def self.check(check, said)
      return "#{said.mm(check[:value_mm], 0)}, at least #{said.mm(check[:from_mm], 0)}" if check[:gap]
      {"good" => "good", "bad" => "NOT right", "none" => "none fitted"}.fetch(check[:answer])
    end

    def self.reservoir(reservoir)
      return [] unless reservoir && reservoir[:tilt_deg]
      [["Reservoir", "#{reservoir[:tilt_deg].round}° at rest, at most #{reservoir[:limit_deg].floor}°"]]
    end

    def self.electrics(electrics, said)
      return [] unless electrics
      lamp = electrics[:lamp_mm] &&
        "#{said.mm(electrics[:lamp_mm])} of travel, bites at #{said.mm(electrics[:bite_mm])}"
      [["Switch at rest", ohms(electrics[:rest])], ["Switch worked", ohms(electrics[:pulled])],
        ["Lamp on at", lamp || (electrics[:no_lamp] && "no lamp")]].select(&:last)
    end

    def self.ohms(state)
      return "open" if state[:open]
      state[:ohms] && format("%g Ω", state[:ohms])
    end
    private_class_method :torque, :washers, :hose, :play, :check, :reservoir, :electrics, :ohms
  end
end
