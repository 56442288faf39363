import { useUnits } from "../server/useUnits";
import type { CircuitFigures as Figures } from "../server/api";
import { LeverCurve } from "../drawings/LeverCurve";
import { figure } from "../kit/format";
import { Quiet } from "../kit/layout";
import { Table } from "../kit/Table";

export function CircuitFigures({ figures }: { figures: Figures }) {
  const units = useUnits();
  return (
    <>
      <Table aria-label={`${figures.control.label} under load`}>
        <thead>
          <tr>
            <th scope="col">Force</th>
            <th scope="col">Pressure</th>
            <th scope="col">Stroke</th>
            <th scope="col">{figures.control.label} travel</th>
          </tr>
        </thead>
        <tbody>
          {figures.loads.map((load) => (
            <tr key={load.force_n}>
              <td>{figure(load.force_n, 0)} N</td>
              <td>{units.say("pressure", load.pressure_mpa, 2)}</td>
              <td>{units.say("length", load.stroke_mm, 2)}</td>
              <td>{units.say("length", load.travel_mm, 1)}</td>
            </tr>
          ))}
        </tbody>
      </Table>
      <Quiet>
        {figures.control.label} ratio {figure(figures.lever_ratio, 2)}, volume ratio{" "}
        {figure(figures.volume_ratio, 1)}, force ratio {figure(figures.force_ratio, 1)},{" "}
        {units.say("volume", figures.stroke_ml, 2)} a stroke. {figure(figures.reference.force_n, 0)} N is the{" "}
        {figures.reference.why}.
      </Quiet>
      {figures.lift ? (
        <Quiet>
          Slave lift at full stroke {units.say("length", figures.lift.full_stroke_mm, 2)}; needed{" "}
          {units.bare("length", figures.lift.needed_mm, 2)} with a margin of{" "}
          {units.say("length", figures.lift.margin_mm, 2)}.
        </Quiet>
      ) : (
        <LeverCurve
          expected={figures.curve}
          referenceN={figures.reference.force_n}
          control={figures.control}
        />
      )}
    </>
  );
}
