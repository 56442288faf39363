import { markColours } from "../kit/tokens";

export interface Mark {
  shape: "circle" | "arrow";
  x: number;
  y: number;
  to_x: number;
  to_y: number;
}

interface Props {
  marks: readonly Mark[];
  /** Of the picture, px. */
  width: number;
  height: number;
  /** Fills its frame and is cut there, as the picture is. */
  isCut?: boolean;
}

const BARB_ANGLE = Math.PI / 7;

/** Circles and arrows over a photo, in its own proportions. */
export function PhotoMarks({ marks, width, height, isCut = false }: Props) {
  const thick = Math.max(width, height) / 110;
  return (
    <svg
      viewBox={`0 0 ${width} ${height}`}
      preserveAspectRatio={isCut ? "xMidYMid slice" : "xMidYMid meet"}
      aria-hidden
    >
      {marks.map((mark, place) => (
        <g key={place} fill="none" strokeLinecap="round">
          <path d={path(mark, width, height)} stroke={markColours.rim} strokeWidth={thick * 2} />
          <path d={path(mark, width, height)} stroke={markColours.line} strokeWidth={thick} />
        </g>
      ))}
    </svg>
  );
}

function path({ shape, x, y, to_x, to_y }: Mark, width: number, height: number): string {
  const [fromX, fromY, toX, toY] = [x * width, y * height, to_x * width, to_y * height];
  if (shape === "circle") {
    const radius = Math.hypot(toX - fromX, toY - fromY);
    return `M${fromX - radius} ${fromY}a${radius} ${radius} 0 1 0 ${2 * radius} 0a${radius} ${radius} 0 1 0 ${-2 * radius} 0`;
  }
  const back = Math.atan2(fromY - toY, fromX - toX);
  const barb = Math.max(width, height) / 25;
  const end = (angle: number) => `${toX + barb * Math.cos(angle)} ${toY + barb * Math.sin(angle)}`;
  return `M${fromX} ${fromY}L${toX} ${toY}M${end(back - BARB_ANGLE)}L${toX} ${toY}L${end(back + BARB_ANGLE)}`;
}
