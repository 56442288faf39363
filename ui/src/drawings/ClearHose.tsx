import { useTheme } from "styled-components";
import type { PracticeFrame } from "../server/api";
import { fluidColours } from "../kit/tokens";

interface Props {
  hose: PracticeFrame["hoses"][number] | undefined;
  /** 1 where it hangs to the left of the nipple, -1 to the right. */
  side: 1 | -1;
}

/** Pixels a millilitre. */
const LONG = 22;
const HOLDS_ML = 4;

/** The clear hose at a nipple: fluid and bubbles as they came out, the newest at the nipple. */
export function ClearHose({ hose, side }: Props) {
  const theme = useTheme();
  if (!hose) return null;
  const fluid = fluidColours[hose.fresh >= 0.95 ? "as_fresh" : hose.fresh > 0 ? "amber" : "brown"];
  const shown = hose.pieces.reduce<{ air: boolean; from: number; to: number }[]>((all, piece) => {
    const from = all[all.length - 1]?.to ?? 0;
    return [...all, { air: piece.air, from, to: Math.min(from + piece.ml, HOLDS_ML) }];
  }, []);
  const at = (ml: number) => -side * (16 + ml * LONG);
  return (
    <g data-clear-hose>
      <path d={`M${at(0)} 0H${at(HOLDS_ML)}`} stroke={theme.line} strokeWidth="13" strokeLinecap="round" />
      {shown.map((piece, index) =>
        piece.to > piece.from ? (
          <path
            key={index}
            d={`M${at(piece.from)} 0H${at(piece.to)}`}
            stroke={piece.air ? theme.panel : fluid}
            strokeWidth="9"
          />
        ) : null,
      )}
    </g>
  );
}
