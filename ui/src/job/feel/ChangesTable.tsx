import type { Feel } from "../../server/api";
import { useUnits } from "../../server/useUnits";
import { daySaid, figure } from "../../kit/format";
import { Panel, Quiet } from "../../kit/layout";
import { Table } from "../../kit/Table";
import type { Units } from "../../kit/units";

type Change = NonNullable<Feel["changes"]>[number];

/** Then and now: before this job, when it was last good, and now; what changed by more than its errors, in words. */
export function ChangesTable({ feel }: { feel: Feel }) {
  const units = useUnits();
  const changes = feel.changes ?? [];
  if (changes.length === 0) return null;
  const hasBefore = changes.some((change) => change.before !== undefined);
  const hasGood = changes.some((change) => change.last_good !== undefined);
  return (
    <Panel>
      <h2>Then and now</h2>
      <Table aria-label="Then and now">
        <thead>
          <tr>
            <td />
            {hasGood ? (
              <th>
                Last good
                <br />
                {feel.last_good_at ? daySaid(feel.last_good_at) : ""}
              </th>
            ) : null}
            {hasBefore ? <th>Before</th> : null}
            <th>Now</th>
          </tr>
        </thead>
        <tbody>
          {changes.map((change) => (
            <tr key={change.id}>
              <td className="words">
                {`${change.label}, ${unitOf(change.id, units)}`}
                {change.says ? (
                  <>
                    <br />
                    <strong>{change.says}</strong>
                  </>
                ) : null}
              </td>
              {hasGood ? <td>{said(change.id, change.last_good, units)}</td> : null}
              {hasBefore ? <td>{said(change.id, change.before, units)}</td> : null}
              <td>{said(change.id, change.now, units)}</td>
            </tr>
          ))}
        </tbody>
      </Table>
      {feel.memory?.says ? <Quiet>{feel.memory.says}</Quiet> : null}
    </Panel>
  );
}

function unitOf(id: Change["id"], units: Units): string {
  switch (id) {
    case "air":
      return units.unit("volume");
    case "dead":
      return units.unit("length");
    case "stiffness":
      return "mL/MPa";
  }
}

function said(id: Change["id"], value: number | undefined, units: Units): string {
  if (value === undefined) return "";
  switch (id) {
    case "air":
      return units.bare("volume", value, 3);
    case "dead":
      return units.bare("length", value, 1);
    case "stiffness":
      return figure(value, 3);
  }
}
