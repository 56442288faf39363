# frozen_string_literal: true

module Sandbag
  # What columns each table of `knowledge/*.yml` has, and what may stand in them.
  module KnowledgeColumns
    CAUSES = %w[AL AM BY LK ST PB AT LO FA FW JL HS HB SL SS FR AB EN WS OF].freeze

    MACHINES = %w[motorcycle scooter kart snowmobile bicycle].freeze

    # column => class or list of classes; a trailing ? marks a column that may be absent
    COLUMNS = {
      "circuit_kinds" => {
        "label" => String,
        "control" => String,
        "far_end" => String,
        "safety" => String,
        "outlet" => String,
        "sole?" => [TrueClass, FalseClass]
      },
      "controls" => {
        "label" => String,
        "noun" => String,
        "limb" => String,
        "press" => String,
        "pressed" => String,
        "at" => String,
        "stop" => String
      },
      "circuit_fields" => {
        "part" => String,
        "field" => String,
        "label" => String,
        "type" => String,
        "dimension?" => String,
        "min?" => Numeric,
        "above?" => Numeric,
        "max?" => Numeric,
        "choices?" => Array,
        "default?" => [Numeric, String, Hash],
        "only?" => Array,
        "note?" => String
      },
      "machine_kinds" => {
        "label" => String,
        "templates" => Array
      },
      "circuit_templates" => {
        "label" => String,
        "kind" => String,
        "note?" => String,
        "parts" => Array
      },
      "near_misses" => {
        "sizes" => Array,
        "inch" => String,
        "told_apart_by" => String,
        "rule" => String
      },
      "ratio_bands" => {
        "label" => String,
        "from" => Numeric,
        "to" => Numeric
      },
      "fluids" => {
        "label" => String,
        "family" => String,
        "rank?" => Integer,
        "bulk_modulus_mpa" => Numeric,
        "dry_c?" => Numeric,
        "wet_c?" => Numeric
      },
      "flow_properties" => {
        "density" => Numeric,
        "viscosity" => Numeric,
        "tension" => Numeric
      },
      "viscosity_factors" => {
        "celsius" => Numeric,
        "factor" => Numeric
      },
      "fluid_colours" => {
        "label" => String,
        "meaning" => String,
        "fresh" => [TrueClass, FalseClass]
      },
      "findings" => {
        "label" => String,
        "how" => String,
        "minutes" => Integer,
        "for" => String,
        "walk" => String,
        "kinds?" => Array,
        "family?" => String,
        "group?" => String,
        "ordinary?" => String,
        "opens?" => [TrueClass, FalseClass],
        "many?" => [TrueClass, FalseClass],
        "values" => Hash
      },
      "walks" => {
        "label" => String,
        "minutes" => Integer,
        "together?" => [TrueClass, FalseClass]
      },
      "must_looks" => {
        "when" => Hash,
        "looks" => Array
      },
      "complaint_words" => {
        "side?" => String,
        "words" => Array,
        "first" => Array
      },
      "intake" => {
        "ask" => String,
        "for" => String,
        "kinds?" => Array,
        "when?" => Hash,
        "stops?" => [TrueClass, FalseClass],
        "finds?" => Hash,
        "asks_for?" => Hash,
        "offers?" => Hash,
        "record?" => String,
        "derived?" => String,
        "values" => Hash
      },
      "abs_gate" => {
        "when" => Hash,
        "decision" => String,
        "says" => String,
        "does" => String,
        "lifts" => String,
        "methods?" => Array
      },
      "step_minutes" => {
        "label" => String,
        "stages" => Array,
        **MACHINES.to_h { |machine| [machine, Integer] }
      },
      "prices" => {
        "label" => String,
        "minor" => Integer
      },
      "waits" => {
        "label" => String,
        "minutes?" => Integer
      },
      "causes" => {
        "label" => String,
        "prior_brake" => Numeric,
        "prior_clutch" => Numeric,
        "routes" => Array,
        "if_stays" => String,
        "also" => String
      },
      "likelihoods" => CAUSES.to_h { |code| [code, String] },
      "proofs" => {
        "when" => Hash,
        "proves" => Array,
        "due?" => [TrueClass, FalseClass],
        "after?" => Array,
        "note" => String
      },
      "red_flags" => {
        "label" => String,
        "when?" => Hash,
        "when_any?" => Array,
        "reported?" => [TrueClass, FalseClass],
        "does" => String,
        "lifts" => String,
        "holds" => String,
        "cures" => Array,
        "by_facts?" => [TrueClass, FalseClass]
      },
      "routes" => {
        "label" => String,
        "does" => String,
        "why" => String,
        "kinds?" => Array,
        "plan" => Array,
        "moves?" => Array,
        "opens" => String,
        "fluid" => String,
        "part?" => String,
        "comes?" => String,
        "condemned?" => String,
        "size?" => String,
        "adds?" => String,
        "renews?" => Array,
        "tools?" => Array,
        "tests?" => Array,
        "takes?" => Array,
        "stops?" => [TrueClass, FalseClass],
        "again?" => [TrueClass, FalseClass],
        "gates?" => Array,
        "steps" => Array,
        "things" => Array
      },
      "cylinders" => {
        "kinds" => Array,
        "sizes" => Array,
        "bores" => Array,
        "offsets" => Array
      },
      "change_bands" => {
        "up_to_percent" => Numeric,
        "verdict" => String,
        "agree" => [TrueClass, FalseClass]
      },
      "levels" => {
        "label" => String,
        "says" => String,
        "marked?" => [TrueClass, FalseClass],
        "below" => Numeric
      },
      "machine_uses" => {
        "label" => String,
        "hard?" => [TrueClass, FalseClass]
      },
      "intervals" => {
        "label" => String,
        "part" => String,
        "field" => String,
        "or?" => String,
        "months" => Integer,
        "hoses?" => Array,
        "short_for?" => Array,
        "months_short?" => Integer
      },
      "lessons" => {
        "label" => String,
        "goal" => String,
        "template" => String,
        "fluid" => String,
        "set?" => Hash,
        "celsius?" => Numeric,
        "reservoir?" => Numeric,
        "way" => String,
        "places?" => Array,
        "old?" => [TrueClass, FalseClass],
        "dry?" => [TrueClass, FalseClass],
        "water?" => Numeric,
        "unit?" => Numeric,
        "faults?" => Hash,
        "tools?" => Array,
        "pass?" => [TrueClass],
        "air" => Array,
        "air_left" => Numeric,
        "fresh?" => Numeric,
        "openings?" => Integer
      },
      "practice_ways" => {
        "cycle" => String,
        "pumps?" => Integer,
        "fits?" => String,
        "lays?" => String,
        "valves?" => [TrueClass],
        "tool?" => String
      },
      "practice_fits" => {
        "label" => String,
        "draws" => String
      },
      "practice_places" => {
        "label" => String,
        "lays" => Hash
      },
      "mystery_faults" => {
        "side?" => String,
        "cause" => String,
        "says" => String,
        "water?" => Numeric,
        "faults?" => Hash,
        "air?" => Hash,
        "shows?" => Hash
      },
      "practice_slips" => {
        "label" => String,
        "says" => String,
        "can" => String,
        "well" => String
      },
      "rechecks" => {
        "label" => String,
        "when" => String,
        "kinds?" => Array,
        "if?" => String,
        "days?" => Integer,
        "times?" => Integer
      },
      "gate_places" => {
        "label" => String
      },
      "gates" => {
        "trade" => String,
        "place" => String,
        "label" => String,
        "detail" => String,
        "settled" => String,
        "must?" => Array,
        "may?" => Array,
        "if?" => String,
        "may_if?" => String,
        "touches?" => String,
        "proof?" => String,
        "test?" => String,
        "each?" => [TrueClass, FalseClass],
        "by_name?" => String,
        "step?" => [TrueClass, FalseClass],
        "never_waived?" => [TrueClass, FalseClass],
        "caution?" => String
      },
      "cautions" => {
        "text" => String,
        "stages" => Array,
        "needs?" => String
      },
      "seals" => {
        "label" => String,
        "glycol" => String,
        "silicone" => String,
        "mineral" => String,
        "found_in" => String
      },
      "lubricants" => {
        "label" => String,
        "glycol" => String,
        "silicone" => String,
        "mineral" => String,
        "where" => String,
        "places" => Array
      },
      "compatibility_words" => {
        "label" => String,
        "does" => String
      },
      "kit_items" => {
        "label" => String,
        "rule" => String,
        "rubber" => [TrueClass, FalseClass],
        "compare" => String
      },
      "fluid_changes" => {
        "months" => Integer
      },
      "water_rates" => {
        "percent_a_year" => Numeric
      },
      "water_verdicts" => {
        "from" => Numeric,
        "label" => String,
        "does" => String,
        "due" => String
      },
      "bleed_methods" => {
        "label" => String,
        "people" => Integer,
        "opening" => String,
        "kinds" => Array,
        "not_for" => String,
        "reverse?" => [TrueClass, FalseClass],
        "turned?" => [TrueClass, FalseClass],
        "needs_tool?" => [TrueClass, FalseClass],
        "aid?" => [TrueClass, FalseClass],
        "drive" => Hash,
        "tools" => Array,
        "waste_ml" => Numeric,
        "minutes" => Integer,
        "cycle" => Array,
        "fails" => Array,
        "beats?" => Array,
        "fittings?" => Array,
        "checks" => Array,
        "order?" => String,
        "wait?" => String,
        "tight?" => [TrueClass, FalseClass],
        "both?" => [TrueClass, FalseClass],
        "report?" => [TrueClass, FalseClass],
        "abs_gate?" => Array
      },
      "bleed_beats" => {
        "label" => String,
        "how" => String,
        "nipple?" => String
      },
      "bleed_checks" => {
        "at" => String,
        "label" => String,
        "does" => String,
        "answers" => Hash,
        "good" => Array,
        "kinds?" => Array,
        "school?" => String,
        "abs?" => [TrueClass, FalseClass]
      },
      "stubborn_air" => {
        "label" => String,
        "does" => String,
        "minutes" => Integer,
        "settles" => String,
        "needs?" => String,
        "method?" => String,
        "wait?" => String,
        "looks?" => Array
      },
      "feel_tests" => {
        "label" => String,
        "how" => String,
        "kinds?" => Array,
        "answers" => Hash,
        "good" => Array,
        "limit" => String,
        "road" => Hash,
        "after_all?" => [TrueClass, FalseClass],
        "amount?" => Hash,
        "proof?" => String
      },
      "expected_feel" => {
        "when" => String,
        "label" => String,
        "says" => String
      },
      "student_t" => {
        "quantile" => Numeric
      },
      "schools" => {
        "label" => String,
        "answers?" => Hash,
        "amounts?" => Hash,
        "default?" => String,
        "why?" => String,
        "fixed?" => String,
        "kinds?" => Array,
        "dry?" => [TrueClass, FalseClass],
        "prefers?" => Hash,
        "avoids?" => Hash
      },
      "nipple_openings" => {
        "label" => String,
        "turns" => Numeric,
        "bore" => Numeric
      },
      "shelf_kinds" => {
        "label" => String,
        "plural" => String,
        "counted" => String
      },
      "shelf_fields" => {
        "kind" => String,
        "field" => String,
        "label" => String,
        "rule" => Hash,
        "optional?" => [TrueClass, FalseClass]
      },
      "stock_moves" => {
        "for" => Array,
        "data" => Hash
      },
      "tools" => {
        "label" => String,
        "special?" => [TrueClass, FalseClass],
        "sizes?" => String,
        "instead?" => Hash
      },
      "bench_things" => {
        "label" => String,
        "group" => String,
        "kinds?" => Array,
        "opened?" => [TrueClass, FalseClass]
      },
      "directions" => {
        "label" => String,
        "pair" => String
      },
      "strip_actions" => {
        "label" => String,
        "does" => String,
        "flies?" => String,
        "leaks?" => String,
        "lost?" => String,
        "tools" => Array,
        "caution?" => String,
        "apart?" => [TrueClass, FalseClass],
        "lever?" => [TrueClass, FalseClass]
      },
      "setup" => {
        "label" => String,
        "detail" => String,
        "word" => String,
        "kinds?" => Array,
        "abs?" => [TrueClass, FalseClass],
        "always?" => [TrueClass, FalseClass],
        "values?" => Hash,
        "warns?" => Hash,
        "counts?" => Hash
      },
      "stuck_ladder" => {
        "label" => String,
        "does" => String,
        "limit" => String,
        "caution?" => String
      },
      "never_advised" => {
        "text" => String,
        "at" => Array
      },
      "inspections" => {
        "label" => String,
        "how" => String,
        "parts" => Array,
        "values" => Hash
      },
      "wear_limits" => {
        "over" => Numeric,
        "up_to" => Numeric,
        "bore_new" => Array,
        "piston_new" => Array,
        "bore_limit" => Numeric,
        "piston_limit" => Numeric,
        "clearance" => Numeric,
        "out_of_round" => Numeric
      },
      "gauges" => {
        "label" => String,
        "uncertainty" => Numeric,
        "judges" => [TrueClass, FalseClass]
      },
      "gauge_places" => {
        "part" => String,
        "gauge" => String,
        "level" => Integer,
        "direction" => String,
        "label" => String
      },
      "comparisons" => {
        "label" => String,
        "compare" => String,
        "kinds?" => Array,
        "routes" => Array
      },
      "build_checks" => {
        "label" => String,
        "how" => String,
        "parts" => Array
      },
      "build_notes" => {
        "parts" => Array,
        "word" => String,
        "text" => String
      },
      "torques" => {
        "label" => String,
        "from?" => Numeric,
        "to?" => Numeric,
        "aim?" => Numeric,
        "ceiling?" => Numeric,
        "over" => String,
        "turns?" => String
      },
      "fasteners" => {
        "label" => String,
        "moves?" => Array,
        "out?" => String,
        "apart?" => [TrueClass, FalseClass],
        "per" => String,
        "joints?" => Array,
        "limb?" => String,
        "far_end?" => String,
        "remote?" => [TrueClass, FalseClass],
        "when" => String,
        "part?" => String,
        "field" => String,
        "hydraulic?" => [TrueClass, FalseClass],
        "defaults" => Array
      },
      "fit_steps" => {
        "label" => String,
        "does" => String,
        "moves" => Array,
        "limb?" => String,
        "safety?" => Array,
        "when" => String,
        "instead?" => Array,
        "trial?" => [TrueClass, FalseClass],
        "last?" => [TrueClass, FalseClass]
      },
      "fit_checks" => {
        "label" => String,
        "how" => String,
        "moves" => Array,
        "gap?" => [TrueClass, FalseClass],
        "from?" => [Numeric, String],
        "aim?" => Numeric,
        "limb?" => String,
        "safety?" => Array,
        "remote?" => [TrueClass, FalseClass],
        "may_lack?" => [TrueClass, FalseClass],
        "proves" => String
      },
      "free_plays" => {
        "label" => String,
        "constructions" => Array,
        "kinds?" => Array,
        "piston?" => Array,
        "tip?" => Array,
        "tip_by_service?" => Numeric,
        "by_maker?" => [TrueClass, FalseClass]
      },
      "hose_positions" => {
        "label" => String,
        "safety?" => Array,
        "may_lack?" => [TrueClass, FalseClass]
      },
      "hose_bends" => {
        "diameters" => Numeric
      },
      "tilts" => {
        "label" => String,
        "lateral_g?" => Numeric,
        "slope?" => Numeric
      },
      "clashes" => {
        "label" => String,
        "wants" => String
      },
      "way_reasons" => {
        "why" => String
      },
      "entry_kinds" => {
        "stage" => String,
        "kind" => String,
        "data" => Hash
      }
    }.freeze
  end
end
