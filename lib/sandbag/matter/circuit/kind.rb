# frozen_string_literal: true

module Sandbag
  module Circuit
    # A kind of circuit: a row of knowledge/circuit_kinds.yml. Code asks what a kind has, never which one it is.
    class Kind
      # @attr safety [String] the family of limits it shares; outlet [String] how the hose is joined at the master; like
      #   [String, nil] a kind whose defaults hold where circuit_fields.yml names none for this one; cylinders [String]
      #   of cylinders.yml; hoses [Array<String>] kinds of hose it takes; caliper [String, nil] the build that its
      #   calipers have whatever is written down; fluid [String] the usual one; fluid_months [Integer] between full
      #   changes; firm_n [Float] of one firm pull by this limb; hold_n [Float] of the steady pull of a hold test;
      #   most_n [Float] that no hand, finger or foot exceeds; pump_limit_mm [Float] that the fifth pull may differ from
      #   the first; air_share [Float] of the limits of air; frees [String] what is seen once its pressure is gone;
      #   sweep [String] how its feel is tried
      attr_reader :id, :label, :far_end, :safety, :outlet, :control, :like, :cylinders, :hoses, :caliper, :fluid,
        :fluid_months, :firm_n, :hold_n, :most_n, :pump_limit_mm, :air_share, :frees, :sweep, :words

      # @return [Array<Kind>]
      def self.all
        @all ||= Tables.rows("circuit_kinds").to_h { |row| [row["id"], new(row)] }.freeze
        @all.values
      end

      # @return [Kind, nil]
      def self.find(id)
        all
        @all[id]
      end

      # @param row [Hash] of circuit_kinds.yml
      def initialize(row)
        @id, @label, @far_end, @safety, @outlet = row.values_at(*%w[id label far_end safety outlet])
        @like, @cylinders, @bores, @hoses, @caliper = row.values_at(*%w[like cylinders bores hoses caliper])
        @fluid, @fluid_months, @air_share = row.values_at(*%w[fluid fluid_months air_share])
        @frees, @sweep = row.values_at(*%w[frees sweep])
        @firm_n, @hold_n, @most_n, @pump_limit_mm = row.values_at(*%w[firm hold most pump_limit]).map(&:to_f)
        control = Tables.find("controls", row["control"])
        @control = control.except("has").freeze
        @sole = row.fetch("sole", false)
        @words = words_of(row, control).freeze
        freeze
      end

      # It has what a row of a table needs, and nothing that the row excludes.
      # @param row [Hash] with the columns of SUITS
      def suits?(row)
        has?(*row["needs"]) && !words.intersect?(row["lacks"] || [])
      end

      # @param text [String] sentence of a table
      # @return [String] with the forces, limits and words of this kind in place of {firm}, {hold}, {pump}, {frees},
      #   {sweep} and {friction}
      def fill(text)
        text.gsub(/\{(\w+)\}/) { |braced| FILLED.key?($1) ? FILLED[$1].call(self) : braced }
      end
      FILLED = {
        "firm" => ->(kind) { Said.n(kind.firm_n, "g") },
        "hold" => ->(kind) { Said.n(kind.hold_n, "g") },
        "pump" => ->(kind) { Said.mm(kind.pump_limit_mm, "g") },
        "frees" => :frees.to_proc,
        "sweep" => :sweep.to_proc,
        "friction" => ->(kind) { kind.clutch? ? "The clutch itself" : "Pads and disc" }
      }.freeze
      private_constant :FILLED

      # @param wanted [Array<String>] see Kind.known_words
      def has?(*wanted)
        (wanted - words).empty?
      end

      # @return [Array<String>] every word that some kind has
      def self.known_words
        all.flat_map(&:words).uniq
      end

      # @return [String, nil] what is wrong with what a row says of the circuits it is for
      def self.unknown(row)
        odd = [*row["needs"], *row["lacks"]] - known_words
        "is for circuits with unknown #{odd.join(", ")}; known are #{known_words.join(", ")}" if odd.any?
      end

      # @param bore_mm [Float] of a master
      # @return [String, nil] what is said of one that such a circuit does not usually have
      def odd_bore(bore_mm)
        low, high = @bores
        return if bore_mm.between?(low, high)
        "odd bore: a #{Wording.inside(label)} usually has #{Said.mm(low, "g", bare: true)} to #{Said.mm(high, "g")}"
      end

      # A slave stands at the far end, not calipers.
      def clutch?
        far_end == "slave"
      end

      # Worked by foot: other limits of effort, and no grip to be reached.
      def foot?
        control["limb"] == "foot"
      end

      # Usually the machine's only brake. [default]
      def sole?
        @sole
      end

      # @return [Array<String>] kinds of part that such a circuit has exactly once
      def singles
        Sheet::SINGLE + [clutch? ? "slave" : "vehicle"]
      end

      # @return [String] kind of part at the far end
      def end_part
        clutch? ? "slave" : "caliper"
      end

      private

      def words_of(row, control)
        [
          control["limb"], *control["has"], clutch? ? "slave" : "pads", "#{row["reservoir"]}_reservoir", outlet,
          row["use"], ("sole" if sole?), *row["has"]
        ].compact
      end
    end
  end
end
