import { useQuery } from "@tanstack/react-query";
import styled from "styled-components";
import type { Candidate, Sizing, SizingRow } from "../server/api";
import { curvesQuery } from "../server/queries";
import { CurveOverlay } from "../drawings/CurveOverlay";
import { size } from "../kit/format";
import { Quiet } from "../kit/layout";
import { Mark } from "../kit/Mark";
import { rowName } from "../words/cylinderNames";
import { candidateOf, farEndSizes } from "./candidates";
import type { FarEndSize } from "./candidates";
import { PickedCylinder } from "./PickedCylinder";
import type { SizingState } from "./useSizing";

/** As tall as what comes, so that the table below stays where it is. */
const OnItsWay = styled(Quiet)`
  min-height: 37rem;
`;

interface Props {
  sizing: SizingState;
  data: Sizing;
  onTake: ((bore: number, pushOffset: number, agreed: string | undefined) => void) | undefined;
  onTakeSizes: ((sizes: FarEndSize[]) => void) | undefined;
  taken: { bore: number; push_offset: number } | undefined;
}

/** Up to three picked cylinders: their lever curves laid over one another, and each one's figures. */
export function PickedCylinders({ sizing, data, onTake, onTakeSizes, taken }: Props) {
  const rows = sizing.picked.flatMap((key) => data.rows.find((row) => row.key === key) ?? []);
  const candidates = rows.map((row) => candidateOf(row, sizing.own));
  const curves = useQuery({
    ...curvesQuery(sizing.request.sheet, candidates),
    enabled: candidates.length > 0,
  });
  if (rows.length === 0) {
    return taken ? (
      <p>
        <Mark kind="good">{`Taken: ${size(taken.bore)} × ${size(taken.push_offset)} mm`}</Mark>
      </p>
    ) : (
      <Quiet>Pick one to three cylinders to see what they would change.</Quiet>
    );
  }
  if (curves.isPending) return <OnItsWay>Working it out…</OnItsWay>;
  const taking = (row: SizingRow, candidate: Candidate | undefined) => {
    if (!row.label && onTake)
      return (agreed: string | undefined) => onTake(row.bore_mm, row.push_offset_mm, agreed);
    const sizes = farEndSizes(candidate);
    return sizes && onTakeSizes ? () => onTakeSizes(sizes) : undefined;
  };
  const named = new Map(rows.map((row) => [row.key, rowName(row)]));
  const drawn = curves.data?.curves.filter((curve) => named.has(curve.key)) ?? [];
  return (
    <>
      {drawn.length > 0 ? <CurveOverlay curves={drawn} name={(key) => named.get(key) ?? key} /> : null}
      {rows.map((row, index) => (
        <PickedCylinder
          key={row.key}
          row={row}
          candidate={candidates[index] ?? {}}
          sheet={sizing.request.sheet}
          onTake={taking(row, candidates[index])}
          isTaken={taken?.bore === row.bore_mm && taken.push_offset === row.push_offset_mm}
        />
      ))}
    </>
  );
}
