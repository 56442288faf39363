import { figure } from "../kit/format";
import { Quiet, Table } from "../kit/layout";
import { Mark } from "../kit/Mark";
import type { PracticeResult as Result } from "../server/api";
import { useUnits } from "../server/useUnits";

/** What came of it, beside a good hand's work from the same start; slips are told now, not while they were made. */
export function PracticeResult({ result }: { result: Result }) {
  const units = useUnits();
  return (
    <>
      <h2>Result</h2>
      <p>
        <Mark kind={result.done ? "good" : "stop"}>{result.done ? "Clear of air" : "Air is left"}</Mark>
      </p>
      {result.where.map((slug, index) => (
        <p key={index}>{`${units.say("volume", slug.ml, 2)} on the way to ${slug.end}`}</p>
      ))}
      <Table aria-label="Beside a good hand">
        <thead>
          <tr>
            <td />
            <th>You</th>
            <th>A good hand</th>
          </tr>
        </thead>
        <tbody>
          <tr>
            <td>{`Air left, ${units.unit("volume")}`}</td>
            <td>{units.bare("volume", result.air_left_ml, 2)}</td>
            <td>{units.bare("volume", result.good_hand.air_left_ml, 2)}</td>
          </tr>
          <tr>
            <td>{`Fluid used, ${units.unit("volume")}`}</td>
            <td>{units.bare("volume", result.used_ml, 0)}</td>
            <td>{units.bare("volume", result.good_hand.used_ml, 0)}</td>
          </tr>
          <tr>
            <td>Seconds</td>
            <td>{figure(result.seconds, 0)}</td>
            <td>{figure(result.good_hand.seconds, 0)}</td>
          </tr>
        </tbody>
      </Table>
      {result.slips.length === 0 ? (
        <Quiet>No slip was made.</Quiet>
      ) : (
        result.slips.map((slip) => (
          <p key={slip.label}>
            <strong>{`${slip.label}, ${slip.times} ×. `}</strong>
            {slip.says}
          </p>
        ))
      )}
    </>
  );
}
