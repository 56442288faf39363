import { daySaid } from "../../kit/format";
import { Quiet } from "../../kit/layout";
import { Room } from "../../kit/Rooms";
import { Table } from "../../kit/Table";
import type { Close } from "../../server/api";

/** What is looked at again, and when; what a calendar knows stands on the Bench on its day. */
export function RecheckPanel({ close }: { close: Close }) {
  if (close.rechecks.length === 0) return null;
  return (
    <Room id="rechecks" title="Looked at again">
      <Table aria-label="Re-checks">
        <tbody>
          {close.rechecks.map((row) => (
            <tr key={row.id}>
              <td className="words">
                <strong>{row.when}</strong>
                <br />
                {row.label}
              </td>
              <td className="words">
                {row.days ? row.days.map((day) => daySaid(day)).join(", ") : "by use"}
              </td>
            </tr>
          ))}
        </tbody>
      </Table>
      {close.fluid_balance ? <Quiet>{close.fluid_balance.says}</Quiet> : null}
    </Room>
  );
}
