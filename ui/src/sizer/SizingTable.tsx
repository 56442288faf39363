import { useState } from "react";
import styled from "styled-components";
import type { Candidate, SizingRow } from "../server/api";
import { useUnits } from "../server/useUnits";
import { Button } from "../kit/Button";
import { change, figure } from "../kit/format";
import { Row } from "../kit/layout";
import { Table } from "../kit/Table";
import { Mark, Sign } from "../kit/Mark";
import { rowName } from "../words/cylinderNames";

interface Props {
  rows: SizingRow[];
  picked: string[];
  own: Candidate[];
  onPick: (key: string) => void;
  onForget: (key: string) => void;
}

const FEW = 12;

const Line = styled.tr<{ $picked: boolean; $rejected: boolean }>`
  background: ${(p) => (p.$picked ? p.theme.actSoft : "transparent")};
  td {
    color: ${(p) => (p.$rejected ? p.theme.quiet : "inherit")};
  }
`;

const Pick = styled.button`
  min-height: 3rem;
  padding: 0 0.4rem;
  border: 0;
  background: none;
  font-weight: 650;
  text-align: left;
  text-decoration: underline;
  text-underline-offset: 0.25em;
  cursor: pointer;
`;

/** Left out where there is no room; the explanation has it. */
const Ratio = styled.td`
  @media (max-width: 64rem) {
    display: none;
  }
`;

const Rejected = styled.span`
  color: ${(p) => p.theme.stop};
  font-weight: 600;
  svg {
    vertical-align: -0.15em;
  }
`;

/** The table twin of the plot, ranked. */
export function SizingTable({ rows, picked, own, onPick, onForget }: Props) {
  const units = useUnits();
  const [all, setAll] = useState(false);
  const shown = all ? rows : rows.slice(0, FEW);
  return (
    <>
      <Table aria-label="Cylinders, ranked">
        <thead>
          <tr>
            <th scope="col">Bore × offset</th>
            <th scope="col">Effort, N</th>
            <th scope="col">Travel, {units.unit("length")}</th>
            <Ratio as="th" scope="col">
              Volume ratio
            </Ratio>
            <th scope="col">Against fitted</th>
            <th scope="col" className="words">
              What to know
            </th>
          </tr>
        </thead>
        <tbody>
          {shown.map((row) => (
            <Line key={row.key} $picked={picked.includes(row.key)} $rejected={row.rejected.length > 0}>
              <td>
                <Pick aria-pressed={picked.includes(row.key)} onClick={() => onPick(row.key)}>
                  {rowName(row)}
                </Pick>
              </td>
              <td>{figure(row.force_n, 1)}</td>
              <td>{units.bare("length", row.travel_mm, 1)}</td>
              <Ratio>
                {figure(row.volume_ratio, 1)} {row.band}
              </Ratio>
              <td>
                {row.fitted
                  ? ""
                  : `${change(row.effort_change_percent)}, ${change(row.travel_change_percent)}`}
              </td>
              <td className="words">
                <Row $gap={1}>
                  <RowWords row={row} />
                  {own.some((each) => each.key === row.key) ? (
                    <Button aria-label={`Forget ${rowName(row)}`} onPress={() => onForget(row.key)}>
                      Forget
                    </Button>
                  ) : null}
                </Row>
              </td>
            </Line>
          ))}
        </tbody>
      </Table>
      {rows.length > FEW ? (
        <div>
          <Button onPress={() => setAll(!all)}>{all ? "Only the nearest" : `All ${rows.length}`}</Button>
        </div>
      ) : null}
    </>
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
  return rejected ?? <span>{[row.felt, ...row.warnings].join("; ")}</span>;
}
