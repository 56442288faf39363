import type { Job, Measure, WearLimits } from "../../server/api";
import { useUnits } from "../../server/useUnits";
import { EntryField } from "../../kit/EntryField";
import { Quiet } from "../../kit/layout";
import { useEntries } from "../useEntries";

const NAMES = [
  ["bore_limit", "Bore, at most"],
  ["piston_limit", "Piston, at least"],
  ["clearance_limit", "Clearance, at most"],
  ["round_limit", "Out of round, at most"],
] as const;

interface Props {
  job: Job;
  measure: Measure;
  limits: WearLimits;
  isOpen: boolean;
}

/** Limits, each with where it comes from; the unit's own data prevails once it is typed. */
export function LimitsPanel({ job, measure, limits, isOpen }: Props) {
  const { add } = useEntries(job, "measure");
  const of = {
    ...(measure.unit ? { unit: measure.unit } : {}),
    ...(measure.size_mm === undefined ? {} : { size: measure.size_mm }),
  };
  const units = useUnits();
  return (
    <details>
      <summary>Limits</summary>
      <Quiet>
        Trade defaults, not a specification, until the unit's own figures are typed in. The service
        information comes first.
      </Quiet>
      {NAMES.map(([name, label]) => (
        <div key={name}>
          {isOpen ? (
            <EntryField
              key={limits[name]}
              label={label}
              unit={units.unit("length")}
              inputMode="decimal"
              value={units.bare("length", limits[name], 3)}
              onFinish={(text) => add("limits", { [name]: units.typed("length", text), ...of })}
            />
          ) : (
            <p>{`${label}: ${units.say("length", limits[name], 3)}`}</p>
          )}
          <Quiet>
            {limits.sources[name] === "service_info" ? "from the service information" : "trade default"}
          </Quiet>
        </div>
      ))}
    </details>
  );
}
