import { useTheme } from "styled-components";
import { SectionPart } from "./SectionPart";
import { placed } from "./sectionShapes";

interface Props {
  part: string;
  /** An id of the directions. */
  faces: string;
}

const HALF = 30;
const MIDDLE = 46;
const WIDE = 200;

/** One part in a length of bore, looking one way or the other: fluid to the left, lever to the right. */
export function FacingDrawing({ part, faces }: Props) {
  const theme = useTheme();
  if (faces === "inward" || faces === "outward") {
    const at = placed([part], 0, 0)[0];
    const width = Math.min(at?.width ?? 40, 120);
    return (
      <svg viewBox={`0 0 ${WIDE} 92`} width="200" height="92" aria-hidden focusable="false">
        <path
          d={`M10 ${MIDDLE - HALF - 4}H190M10 ${MIDDLE + HALF + 4}H190`}
          stroke={theme.tube}
          strokeWidth="6"
        />
        <rect x="10" y={MIDDLE - HALF} width="60" height={HALF * 2} fill={theme.fresh} opacity="0.35" />
        <path
          d={`M14 ${MIDDLE}h28m-10-8 10 8-10 8`}
          transform="rotate(180 28 46)"
          fill="none"
          stroke={theme.ink}
          strokeWidth="2"
          opacity="0.4"
        />
        <g transform={`translate(${(WIDE - width) / 2} ${MIDDLE})`}>
          <SectionPart
            shape={at?.shape ?? "rod"}
            width={width}
            half={HALF - 2}
            state="at_hand"
            faces={faces}
          />
        </g>
      </svg>
    );
  }
  const turn = { up: 0, down: 180, as_found: 0, turned: 180 }[faces] ?? 0;
  return (
    <svg viewBox="0 0 92 92" width="92" height="92" aria-hidden focusable="false">
      {faces === "up" || faces === "down" ? (
        <path
          d="M46 12 70 42H54V78H38V42H22Z"
          transform={`rotate(${turn} 46 46)`}
          fill={theme.actSoft}
          stroke={theme.ink}
          strokeWidth="3"
          strokeLinejoin="round"
        />
      ) : (
        <>
          <rect
            x="12"
            y="22"
            width="68"
            height="50"
            rx="5"
            fill={theme.sunk}
            stroke={theme.ink}
            strokeWidth="3"
          />
          <path d="M32 22l5-9h18l5 9" fill={theme.sunk} stroke={theme.ink} strokeWidth="3" />
          <path
            d="M46 34v26m-10-16 10-10 10 10"
            transform={`rotate(${turn} 46 47)`}
            fill="none"
            stroke={theme.focus}
            strokeWidth="5"
          />
        </>
      )}
    </svg>
  );
}
