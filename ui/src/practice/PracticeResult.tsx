import { figure } from "../kit/format";
import { Quiet } from "../kit/layout";
import { Table } from "../kit/Table";
import { Mark } from "../kit/Mark";
import type { PracticeResult as Result } from "../server/api";
import { useUnits } from "../server/useUnits";

/** What came of it, beside a good hand's work from the same start; slips are told now, not while they were made. */
export function PracticeResult({ result }: { result: Result }) {
  const units = useUnits();
  const rows: [string, (figures: Result["good_hand"]) => string][] = [
    [`Air left, ${units.unit("volume")}`, (each) => units.bare("volume", each.air_left_ml, 2)],
    [`Fluid used, ${units.unit("volume")}`, (each) => units.bare("volume", each.used_ml, 0)],
    ["Seconds", (each) => figure(each.seconds, 0)],
    ["Times a nipple was opened", (each) => figure(each.openings, 0)],
  ];
  if (result.goal_fresh !== undefined)
    rows.push(["Fresh at the nipple, %", (each) => figure(100 * each.fresh, 0)]);
  if (result.steam_ml !== undefined)
    rows.push([
      `Steam after a pass, ${units.unit("volume")}`,
      (each) => units.bare("volume", each.steam_ml ?? 0, 2),
    ]);
  return (
    <>
      <h2>Result</h2>
      <p>
        <Mark kind={result.done ? "good" : "stop"}>{said(result)}</Mark>
      </p>
      {result.where.map((slug, index) => (
        <p key={index}>{`${units.say("volume", slug.ml, 2)} ${slug.place}`}</p>
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
          {rows.map(([label, shown]) => (
            <tr key={label}>
              <td className="words">{label}</td>
              <td>{shown(result)}</td>
              <td>{shown(result.good_hand)}</td>
            </tr>
          ))}
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
      {result.well.length > 0 ? (
        <>
          <h3>Done well</h3>
          <ul>
            {result.well.map((said) => (
              <li key={said}>{said}</li>
            ))}
          </ul>
        </>
      ) : null}
    </>
  );
}

/** What is missing, the worst first. */
function said(result: Result): string {
  if (result.air_left_ml > result.goal_ml) return "Air is left";
  if (result.fresh < (result.goal_fresh ?? 0)) return "Old fluid is left";
  if (!result.done && result.steam_ml) return "It still boils down a pass";
  if (result.openings > (result.goal_openings ?? result.openings))
    return `Clear of air, in more than ${result.goal_openings} strokes`;
  return "Clear of air";
}
