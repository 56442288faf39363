import styled from "styled-components";
import type { SizingRow } from "../../app/api";
import { change, figure, size } from "../../kit/format";
import { Table } from "../../kit/layout";
import { Mark, Sign } from "../../kit/Mark";
import { sizeKey } from "./SizingPanel";

interface Props {
  rows: SizingRow[];
  picked: string | undefined;
  onPick: (key: string) => void;
}

const Line = styled.tr<{ $picked: boolean; $rejected: boolean }>`
  background: ${(p) => (p.$picked ? p.theme.actSoft : "transparent")};
  td {
    color: ${(p) => (p.$rejected ? p.theme.quiet : "inherit")};
  }
`;

const Rejected = styled.span`
  color: ${(p) => p.theme.stop};
  font-weight: 600;
  svg {
    vertical-align: -0.15em;
  }
`;

const Pick = styled.button`
  min-height: 2.6rem;
  padding: 0 0.4rem;
  border: 0;
  background: none;
  font:
    650 1.05rem "Atkinson Hyperlegible Mono Variable",
    monospace;
  text-decoration: underline;
  text-underline-offset: 0.25em;
  cursor: pointer;
  white-space: nowrap;
`;

/** The table twin of the plot. */
export function SizingTable({ rows, picked, onPick }: Props) {
  return (
    <Table>
      <thead>
        <tr>
          <th scope="col">Bore × offset</th>
          <th scope="col">Effort</th>
          <th scope="col">Travel</th>
          <th scope="col">Against fitted</th>
          <th scope="col" className="words">
            What to know
          </th>
        </tr>
      </thead>
      <tbody>
        {rows.map((row) => {
          const key = sizeKey(row);
          return (
            <Line key={key} $picked={key === picked} $rejected={row.rejected.length > 0}>
              <td>
                <Pick aria-pressed={key === picked} onClick={() => onPick(key)}>
                  {size(row.bore_mm)} × {size(row.push_offset_mm)}
                </Pick>
              </td>
              <td>{figure(row.force_n, 1)} N</td>
              <td>{figure(row.travel_mm, 1)} mm</td>
              <td>
                {row.fitted
                  ? ""
                  : `${change(row.effort_change_percent)}, ${change(row.travel_change_percent)}`}
              </td>
              <td className="words">
                <RowWords row={row} />
              </td>
            </Line>
          );
        })}
      </tbody>
    </Table>
  );
}

function RowWords({ row }: { row: SizingRow }) {
  const rejected =
    row.rejected.length > 0 ? (
      <Rejected>
        <Sign kind="stop" /> {row.rejected.join("; ")}
      </Rejected>
    ) : null;
  if (row.fitted) {
    return (
      <>
        <Mark kind="quiet">fitted now</Mark> {rejected}
      </>
    );
  }
  return rejected ?? <>{[row.felt, ...row.warnings].join("; ")}</>;
}
