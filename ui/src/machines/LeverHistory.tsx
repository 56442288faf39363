import { useQuery } from "@tanstack/react-query";
import { LeverMonths, type Line } from "../drawings/LeverMonths";
import { Saved } from "../kit/Saved";
import { Panel, Quiet, Row } from "../kit/layout";
import type { Control, LeverOnFile } from "../server/api";
import { leversOfCircuitQuery } from "../server/queries";
import { useUnits } from "../server/useUnits";
import type { Units } from "../kit/units";

interface Props {
  circuitId: string;
  control: Control;
}

/** What signed jobs found this lever to be, over the months, and when it will be due if it goes on so. */
export function LeverHistory({ circuitId, control }: Props) {
  const history = useQuery(leversOfCircuitQuery(circuitId)).data;
  const units = useUnits();
  if (!history || history.points.length === 0) return null;
  return (
    <Panel>
      <h2>{`${control.label} over the months`}</h2>
      <p>
        <strong>{history.trend.says}</strong>
      </p>
      {linesOf(history.points, units).map((line) => (
        <Saved key={line.label} name="lever-months" label={line.label}>
          {(button) => (
            <>
              <LeverMonths points={history.points} line={line} />
              <Row>{button}</Row>
            </>
          )}
        </Saved>
      ))}
      <Quiet>
        Hollow: as it came in. Filled: as it went out. Bars: what 95 % lies within. Drop: fluid renewed.
      </Quiet>
    </Panel>
  );
}

function linesOf(points: LeverOnFile[], units: Units): Line[] {
  const length = (value: number | undefined) =>
    value === undefined ? undefined : units.amount("length", value);
  const newest = points[points.length - 1];
  if (newest?.lift_mm !== undefined) {
    const wanted = length(newest.wanted_mm);
    return [
      {
        label: "Lift at the slave",
        unit: units.unit("length"),
        value: (point) => length(point.lift_mm),
        error: (point) => length(point.lift_error_mm),
        limit: wanted === undefined ? undefined : { value: wanted, word: "wanted" },
      },
    ];
  }
  const limit = length(newest?.limit_mm);
  return [
    {
      label: "Travel lost to air",
      unit: units.unit("length"),
      value: (point) => length(point.cost_mm),
      error: (point) => length(point.cost_error_mm),
      limit: limit === undefined ? undefined : { value: limit, word: "limit" },
    },
    {
      label: "Dead travel",
      unit: units.unit("length"),
      value: (point) => length(point.dead_mm),
      error: (point) => length(point.dead_error_mm),
    },
    {
      label: "Stiffness",
      unit: "mL/MPa",
      value: (point) => point.stiffness_ml_mpa,
      error: (point) => point.stiffness_error_ml_mpa,
    },
  ];
}
