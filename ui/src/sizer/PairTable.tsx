import { useState } from "react";
import type { Balance } from "../server/api";
import { useUnits } from "../server/useUnits";
import { Button } from "../kit/Button";
import { figure, size } from "../kit/format";
import { Mark } from "../kit/Mark";
import { Table } from "../kit/Table";
import { turnsSaid } from "./balanceSaid";

const FEW = 6;

/** Pairs of cylinders for one pedal, ranked: where the bar has to stand for each, and what the foot feels. */
export function PairTable({ pairs }: { pairs: Balance["pairs"] }) {
  const units = useUnits();
  const [all, setAll] = useState(false);
  return (
    <>
      <Table aria-label="Pairs of cylinders, ranked">
        <thead>
          <tr>
            <th scope="col">Front and rear bore</th>
            <th scope="col">Bar to the front, %</th>
            <th scope="col">Effort, N</th>
            <th scope="col">Travel, {units.unit("length")}</th>
            <th scope="col" className="words">
              What to know
            </th>
          </tr>
        </thead>
        <tbody>
          {pairs.slice(0, all ? pairs.length : FEW).map((pair) => (
            <tr key={`${pair.front_bore_mm} ${pair.rear_bore_mm}`}>
              <td>{`${size(pair.front_bore_mm)} and ${size(pair.rear_bore_mm)}`}</td>
              <td>{figure(pair.share_percent, 0)}</td>
              <td>{figure(pair.force_n, 0)}</td>
              <td>{units.bare("length", pair.travel_mm, 1)}</td>
              <td className="words">
                {pair.fitted ? <Mark kind="quiet">fitted now</Mark> : null}{" "}
                {pair.rejected.join("; ") || turnsSaid(pair.turns)}
              </td>
            </tr>
          ))}
        </tbody>
      </Table>
      <div>
        <Button onPress={() => setAll(!all)}>{all ? "Only the nearest" : `All ${pairs.length}`}</Button>
      </div>
    </>
  );
}
