import { useQuery } from "@tanstack/react-query";
import type { Fit, Sheet } from "../../server/api";
import { profilesQuery } from "../../server/queries";
import { HeightProfile } from "../../drawings/HeightProfile";
import { useUnits } from "../../server/useUnits";
import { Button } from "../../kit/Button";
import { EntryField } from "../../kit/EntryField";
import { Quiet, Row, Split } from "../../kit/layout";
import { Mark } from "../../kit/Mark";
import { Notice } from "../../kit/Notice";
import { MeasuredLength } from "../MeasuredLength";
import { useEntries } from "../useEntries";
import type { FitProps } from "./fitProps";
import { FitRoom } from "./FitRoom";

type Hose = Fit["hoses"][number];

/** The path of each hose where it is longest, what is to spare, and how tightly it may bend. */
export function HosePanel({ job, fit, isOpen }: FitProps) {
  if (fit.hoses.length === 0) return null;
  return (
    <FitRoom fit={fit} id="hoses" title="How the hose runs">
      <Quiet>Measure along the way it lies, with a string, at each position.</Quiet>
      {fit.hoses.map((hose) => (
        <HoseRun key={hose.line} job={job} hose={hose} isOpen={isOpen} />
      ))}
      <Profiles sheet={fit.sheet} at={fit.at} />
    </FitRoom>
  );
}

/** The height of the whole way as it is routed now: a high spot shows at once, and goes into Bleed. */
function Profiles({ sheet, at }: { sheet: Sheet; at: string[] | undefined }) {
  const line = useQuery(profilesQuery(sheet));
  if (!line.data) return null;
  return (
    <div>
      <h3>Height along the way</h3>
      {line.data.ways.map((way) => (
        <HeightProfile key={way.far_end} way={way} legs={undefined} at={at} />
      ))}
    </div>
  );
}

function HoseRun({ job, hose, isOpen }: Pick<FitProps, "job" | "isOpen"> & { hose: Hose }) {
  const { add } = useEntries(job, "fit");
  const units = useUnits();
  const name = hose.label ?? "Hose";
  return (
    <Split>
      <div>
        <h3>{name}</h3>
        {hose.positions.map((position) => (
          <Row key={position.id}>
            {isOpen ? (
              <MeasuredLength
                label={`${name}: ${position.label}`}
                name={`path-${position.id}`}
                value={position.path_mm}
                decimals={0}
                onMeasure={(length) => add("path", { line: hose.line, position: position.id, length })}
              />
            ) : (
              <p>{`${position.label}: ${position.path_mm === undefined ? "not measured" : units.say("length", position.path_mm, 0)}`}</p>
            )}
            {position.lacks ? <Quiet>none here</Quiet> : null}
            {isOpen && position.may_lack && position.path_mm === undefined && !position.lacks ? (
              <Button
                aria-label={`${name}: ${position.label}: there is none`}
                onPress={() => add("path", { line: hose.line, position: position.id, none: true })}
              >
                There is none
              </Button>
            ) : null}
          </Row>
        ))}
      </div>
      <div style={{ display: "grid", gap: "0.8rem", alignContent: "start" }}>
        {isOpen ? (
          <MeasuredLength
            label={`${name}: its length, end to end`}
            name="length"
            value={hose.length_mm}
            decimals={0}
            onMeasure={(value) => add("fact", { part: hose.line, field: "length", value })}
          />
        ) : null}
        <Verdict hose={hose} />
        {isOpen ? (
          <MeasuredLength
            label={`${name}: tightest bend, radius`}
            name="bend"
            value={hose.bend_mm}
            decimals={0}
            onMeasure={(radius) => add("bend", { line: hose.line, radius })}
          />
        ) : null}
        {hose.bend_fine === false ? (
          <Notice tone="stop">{`Bent too tightly: at least ${units.say("length", hose.least_bend_mm, 0)} for this hose.`}</Notice>
        ) : (
          <Quiet>{`Bend it no tighter than ${units.say("length", hose.least_bend_mm, 0)} [default].`}</Quiet>
        )}
        {isOpen ? (
          <EntryField
            key={hose.high_spot_mm ?? "none"}
            label={`${name}: highest point above the ground, if it climbs`}
            inputMode="decimal"
            unit={units.unit("length")}
            value={hose.high_spot_mm === undefined ? "" : units.bare("length", hose.high_spot_mm, 0)}
            onFinish={(text) =>
              add("fact", { part: hose.line, field: "high_spot", value: units.typed("length", text) })
            }
          />
        ) : null}
      </div>
    </Split>
  );
}

function Verdict({ hose }: { hose: Hose }) {
  if (hose.says === undefined) return <Quiet>Nothing measured yet.</Quiet>;
  if (hose.verdict === "short")
    return (
      <Notice tone="stop" live>
        {hose.says}
      </Notice>
    );
  if (hose.verdict === "long") return <Notice tone="warn">{hose.says}</Notice>;
  return <Mark kind="good">{hose.says}</Mark>;
}
