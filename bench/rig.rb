# frozen_string_literal: true

# The verdicts over bleeding methods held against a simulated circuit that runs: bench/rig.rb. Every template, lines of
# several bores, with and without a loop over the master; a slug of air at a fifth of each way from where its fluid
# comes in, or, where nothing but the head moves the fluid, an empty line; every bleeding method that a hand in the rig
# knows. Prints where the two differ: said to carry and less than 95 % came out, or said to leave air and it came out.
require_relative "../app/boot"

BORES = [nil, 2.5, 4.0, 4.8, 6.0].freeze
AIR_ML = 0.3
OUT = 0.95
FROM = 0.2

def changed(sheet, bore, loop)
  sheet.parts_of("line").reduce(sheet) do |all, part|
    all = all.change(part["id"], "bore", bore, "measured") if bore
    loop ? all.change(part["id"], "high_spot", sheet.value("master", "height") + 150, "measured") : all
  end
end

def out(sheet, index, way)
  plumbing = Sandbag::Rig::Plumbing.new(sheet)
  path = plumbing.paths[index]
  from = Sandbag::Tables.find("bleed_methods", way)["reverse"] ? 1 - FROM : FROM
  slug = Sandbag::Rig::Slug.new(ml: AIR_ML, path: index, at_mm: path.length_mm * from)
  air = (way == "gravity_start") ? plumbing.dry : [slug]
  rig = Sandbag::Rig::Simulation.new(sheet, air: air.select { |each| each.path == index })
  start = rig.air_ml
  Sandbag::Rig::Mechanic.new(rig, way: way).bleed_end(path.id)
  1 - rig.air_ml / start
end

(ARGV.empty? ? Sandbag::Rig::Mechanic.ways : ARGV).each do |id|
  method = Sandbag::Tables.find("bleed_methods", id)
  cases = agreed = usual = usual_agreed = 0
  Sandbag::Tables.rows("circuit_templates").each do |template|
    BORES.product([false, true]).each do |bore, loop|
      next unless Sandbag::Circuit::Kind.find(template["kind"]).suits?(method)
      sheet = changed(Sandbag::Circuit::Template.filled(template["id"]), bore, loop)
      Sandbag::Airway::Way.all(sheet).each_with_index do |way, index|
        next if way.profile.sag?
        verdict = Sandbag::Airway::MethodVerdict.new(way, method)
        # the hand in the rig goes on as long as air comes
        carries = verdict.stuck.nil? || verdict.changes.include?("longer")
        share = out(sheet, index, id)
        agrees = carries == (share >= OUT)
        cases += 1
        agreed += 1 if agrees
        usual += 1 unless bore || loop
        usual_agreed += 1 if agrees && !bore && !loop
        next if agrees
        puts format("%-16s %-20s %-22s bore %-4s %-5s said to %-10s %3.0f %% out", id, template["id"], way.end_label,
          bore || "own", loop ? "loop" : "", carries ? "carry" : "leave air", 100 * share)
      end
    end
  end
  puts "#{id}: #{agreed} of #{cases} agree, #{usual_agreed} of #{usual} of the usual lines"
end
