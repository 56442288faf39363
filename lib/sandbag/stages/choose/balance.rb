# frozen_string_literal: true

module Sandbag
  module Choose
    # Two brake circuits on one pedal with a balance bar (docs/physics.md 10): what the pedal gives with the bar where
    # it stands, where it has to stand for what is wanted, and which pairs of cylinders can give it. What is wanted of
    # each circuit is the deceleration in its own target.
    class Balance
      # [default] Share of the push to the front: further off the middle the bar has no room left to be adjusted.
      LEAST_SHARE = 0.35
      MOST_SHARE = 0.65
      # [default] A bar that tilts further can bind.
      MOST_TILT_DEG = 12.0
      # [default] per cent: shares that the two records give may differ from a whole by this much.
      ROUNDING = 1.0

      PEDAL = %w[finger_to_pivot push_offset bar_length bar_pitch].freeze

      # @param sheets [Hash{Symbol => Circuit::Sheet}] :front and :rear, see `ends`
      # @param front_percent [Float, nil] of the push that the front gets; nil takes what the front's record says
      # Refuses two records that say different things of the one pedal.
      def initialize(sheets, front_percent: nil)
        @sheets = sheets
        refuse_two_pedals
        @circuits = @sheets.transform_values { |sheet| Circuit::Assembly.build(sheet) }
        @share = (front_percent || lever("bar_share")) / 100.0
      end

      # Which of two circuits is at which end of the bar.
      # @param circuits [Array] two of whatever holds a sheet
      # @yieldparam [Object] one of them; @yieldreturn [Circuit::Sheet]
      # @return [Hash{Symbol => Object}] :front and :rear
      # Refuses two at the same end.
      def self.ends(circuits)
        ends = circuits.group_by { |each| yield(each).value("lever", "bar_end").to_sym }
        return ends.transform_values(&:first).slice(:front, :rear) if ends.size == 2
        raise Refusal.at("lever/bar_end", "both circuits are at the #{ends.keys.first} end of the balance bar",
          "front in one record, rear in the other")
      end

      # @return [Hash] recorded: what the records say; wanted; now: the pedal with the bar where it stands; best: where
      #   it has to stand; pairs: rows, the fitted one first, then usable ones nearest to what is wanted, then rejected
      def to_h
        {
          share_percent: @share * 100,
          recorded: recorded,
          wanted: {deceleration_m_s2: wanted_m_s2.values.sum,
                   front_percent: 100 * wanted_n[:front] / wanted_n.values.sum},
          now: point_view(bar(@share), bar(@share).force_for_n(wanted_n.values.sum)),
          best: best,
          pairs: pairs
        }.compact
      end

      private

      attr_reader :circuits

      def refuse_two_pedals
        PEDAL.each do |field|
          values = @sheets.values.map { |sheet| sheet.value("lever", field) }
          next if values.uniq.one?
          label = Wording.inside(@sheets[:front].values(@sheets[:front].parts_of("lever").first)[field].field.label)
          raise Refusal.at("lever/#{field}",
            "the two circuits share one pedal, and their records differ: #{label} " \
              "#{values.map { |value| Said.mm(value, "g") }.join(" and ")}",
            "the same figure in both records")
        end
      end

      def lever(field)
        @sheets[:front].value("lever", field)
      end

      # @return [Hash] what each record says of its share, and whether the two make a whole
      def recorded
        shares = @sheets.transform_values { |sheet| sheet.value("lever", "bar_share") }
        {**shares.transform_keys { |name| :"#{name}_percent" }, agree: (shares.values.sum - 100).abs <= ROUNDING}
      end

      def wanted_m_s2
        @sheets.transform_values { |sheet| sheet.value("target", "deceleration") }
      end

      # The machine is one: its mass is the front's.
      def wanted_n
        wanted_m_s2.transform_values { |deceleration| deceleration * circuits[:front].vehicle.mass_kg }
      end

      def bar(share, pair = circuits)
        Hydraulics::BalanceBar.new(**pair, share: share, length_mm: lever("bar_length"))
      end

      # @return [Hash] see to_h
      def best
        share, force_n = Hydraulics::BalanceBar.for(*circuits.values, *wanted_n.values)
        {share_percent: share * 100, turns: turns(share), point: point_view(bar(share), force_n)}
      end

      # Turns of the bar in its bearing, towards the front where positive.
      def turns(share)
        (share - @share) * lever("bar_length") / lever("bar_pitch")
      end

      # @param force_n [Float, nil] nil where no foot gives what is wanted
      def point_view(bar, force_n)
        return unless force_n
        point = bar.at(force_n)
        {
          force_n: force_n,
          travel_mm: point.travel_mm,
          available_travel_mm: bar.front.lever.available_travel_mm,
          reserve_travel_mm: bar.reserve_travel_mm(point),
          tilt_deg: point.tilt_deg,
          front_percent: 100 * point.front.brake_n / (point.front.brake_n + point.rear.brake_n),
          front: side_view(bar, point, :front),
          rear: side_view(bar, point, :rear)
        }
      end

      def side_view(bar, point, name)
        side = point.public_send(name)
        without_mm = bar.travel_without_mm(name, point.force_n)
        {**side.to_h, stroke_share: side.stroke_mm / bar.public_send(name).master.stroke_mm,
                      travel_if_lost_mm: without_mm, stops_if_lost: without_mm > bar.front.lever.gap_to_grip_mm}
      end

      def pairs
        bores = Tables.find("cylinders", @sheets[:front].kind.cylinders)["bores"]
        fitted = circuits.values.map { |circuit| circuit.master.bore_mm }
        rows = ([fitted] + bores.product(bores)).uniq.map { |pair| pair_row(pair, fitted) }
        first, others = rows.partition { |row| row[:fitted] }
        first + others.sort_by { |row| [row[:rejected].size, row[:distance]] }
      end

      def pair_row(bores, fitted)
        pair = circuits.keys.zip(bores).to_h do |name, bore|
          master = circuits[name].master.with(bore_mm: bore)
          [name, circuits[name].worked_by(master: master, lever: circuits[name].lever)]
        end
        share, force_n = Hydraulics::BalanceBar.for(*pair.values, *wanted_n.values)
        view = point_view(bar(share, pair), force_n)
        {
          front_bore_mm: bores.first, rear_bore_mm: bores.last, fitted: bores == fitted,
          share_percent: share * 100, turns: turns(share), **view.slice(:force_n, :travel_mm, :tilt_deg),
          rejected: rejections(share, view), distance: distance(share, view)
        }
      end

      # @return [Array<String>] why a pair cannot be used
      def rejections(share, view)
        [outside(share), *bottoming(view), over_effort(view), no_reserve(view), tilted(view), *lost(view)].compact
      end

      def outside(share)
        return if share.between?(LEAST_SHARE, MOST_SHARE)
        "the bar would stand at #{(share * 100).round} % to the front; #{(LEAST_SHARE * 100).round} to " \
          "#{(MOST_SHARE * 100).round} % can be used"
      end

      def bottoming(view)
        @sheets.keys.select { |name| view[name][:stroke_share] > 1 }.map { |name| "the #{name} cylinder bottoms out" }
      end

      def over_effort(view)
        limit_n = @sheets[:front].value("target", "effort_limit")
        "effort over the limit: #{Said.n(view[:force_n])}, limit #{Said.n(limit_n)}" if view[:force_n] > limit_n
      end

      def no_reserve(view)
        used_mm, room_mm = view.values_at(:reserve_travel_mm, :available_travel_mm)
        "no reserve: #{Said.mm(used_mm)} of #{Said.mm(room_mm)} with knock-back and air" if used_mm > room_mm
      end

      def tilted(view)
        return unless view[:tilt_deg] > MOST_TILT_DEG
        "the bar tilts #{view[:tilt_deg].round(1)}°, at most #{MOST_TILT_DEG.round}°"
      end

      def lost(view)
        @sheets.keys.select { |name| view[name][:stops_if_lost] }
          .map { |name| "the pedal stops before the other brakes if the #{name} is lost" }
      end

      # From the wanted effort and travel, and from the middle of the bar.
      def distance(share, view)
        target = @sheets[:front].values(@sheets[:front].parts_of("target").first).transform_values(&:value)
        Math.hypot(School.new.distance(view, target), (share - 0.5) / (MOST_SHARE - 0.5))
      end
    end
  end
end
