import { scaleLinear } from "d3-scale";
import styled, { useTheme } from "styled-components";
import type { PracticeEnds, PracticeFrame, PracticeStart } from "../server/api";
import { useDrag } from "../kit/useDrag";
import { ClearHose } from "./ClearHose";
import { FarEnd, LeverInHand, PracticeMaster } from "./practiceShapes";

interface Props {
  run: PracticeStart;
  /** The ways out as they lie now. */
  ends: PracticeEnds;
  frame: PracticeFrame;
  /** The nipple that is worked, and whether it is open. */
  end: string;
  isOpen: boolean;
  /** Or braided, which hides what is in it. */
  isGlass: boolean;
  /** The lever dragged so far, as a share of its way; undefined when it is let go. */
  onDrag?: ((share: number | undefined) => void) | undefined;
}

const WIDTH = 640;
const HEIGHT = 440;
const TOP = 96;
const FLOOR = 362;

/** How far a finger goes for the whole of the lever's way. */
const DRAG_PX = 70;

const Grip = styled.path`
  cursor: grab;
  touch-action: none;
  &:active {
    cursor: grabbing;
  }
`;

/** Small bubbles that froth is drawn as. */
const FROTH = [
  [-5, 2],
  [0, -3],
  [5, 2],
];
/** Steam that can be seen, mL. */
const SEEN_ML = 0.01;

const Drawing = styled.svg`
  max-height: max(20rem, 100vh - 26rem);
  width: 100%;
  g[data-moves] {
    transition: transform 0.1s linear;
  }
  rect[data-moves] {
    transition:
      y 0.1s linear,
      height 0.1s linear;
  }
  @media (prefers-reduced-motion: reduce) {
    g[data-moves],
    rect[data-moves] {
      transition: none;
    }
  }
`;

/** The way of the fluid as height over length, the line as glass: bubbles crawl, stall and come back in it. */
export function PracticeLine({ run, ends, frame, end, isOpen, isGlass, onDrag }: Props) {
  const drag = useDrag(DRAG_PX, onDrag);
  const theme = useTheme();
  const points = ends.flatMap((each) => each.points);
  const heights = points.map((point) => point.height_mm);
  const longest = Math.max(...points.map((point) => point.at_mm));
  const low = Math.min(...heights);
  const high = Math.max(...heights);
  const y = scaleLinear([low, Math.max(high, low + 50)], [FLOOR, TOP]);
  const x = scaleLinear([0, longest], [140, WIDTH - 110]);
  const share = frame.reservoir_ml / run.reservoir_full_ml;
  const level = 12 + (1 - Math.min(Math.max(share, 0), 1)) * 52;
  const top = (ends[0]?.points[0]?.height_mm ?? high) as number;
  const lever = (frame.lever_mm / run.travel_mm) * 38;
  const place = (path: number, at: number) => {
    const line = ends[path]?.points ?? [];
    const after = line.findIndex((point) => point.at_mm >= at);
    const to = line[Math.max(after, 1)] ?? line[line.length - 1];
    const from = line[Math.max(after, 1) - 1] ?? to;
    if (!to || !from) return { left: x(0), up: y(top) };
    const along = (at - from.at_mm) / (to.at_mm - from.at_mm || 1);
    return { left: x(at), up: y(from.height_mm + along * (to.height_mm - from.height_mm)) };
  };
  // two ends side by side: each label to its own side
  const anchors =
    ends.length === 1
      ? [{ x: 0, anchor: "middle" as const }]
      : [
          { x: 10, anchor: "end" as const },
          { x: -10, anchor: "start" as const },
        ];
  const unit = run.unit_mm === undefined ? undefined : place(0, run.unit_mm);
  const air = frame.slugs.reduce((sum, slug) => sum + slug.ml, 0);
  return (
    <Drawing
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      role="img"
      aria-label={`${isGlass ? `${frame.slugs.length} bubbles in the line, ${air.toFixed(2)} mL of air` : "A braided line"}; reservoir ${Math.round(share * 100)} % full; lever ${Math.round((frame.lever_mm / run.travel_mm) * 100)} % in`}
    >
      <path d="M40 8v60h70V8" fill={theme.panel} stroke={theme.tube} strokeWidth="5" />
      <rect data-moves x="43" y={level} width="64" height={66 - level} fill={theme.fresh} />
      <PracticeMaster y={y(top)} to={x(0)} />
      <g
        data-moves
        style={{ transform: `translate(0px, ${y(top)}px) rotate(${-lever}deg)`, transformOrigin: "75px 0px" }}
      >
        <LeverInHand />
        {onDrag ? <Grip d="M75 0H10" stroke="transparent" strokeWidth="44" {...drag} /> : null}
      </g>
      {ends.map((each, index) => {
        const way = each.points.map((point) => `${x(point.at_mm)} ${y(point.height_mm)}`).join("L");
        const last = each.points[each.points.length - 1];
        const open = isOpen && each.id === end;
        return (
          <g key={each.id}>
            <path d={`M${way}`} fill="none" stroke={theme.tube} strokeWidth="16" strokeLinejoin="round" />
            <path
              d={`M${way}`}
              fill="none"
              stroke={isGlass ? theme.fresh : theme.quiet}
              strokeWidth="10"
              strokeLinejoin="round"
              strokeDasharray={isGlass ? undefined : "3 3"}
            />
            {last ? (
              <g transform={`translate(${x(last.at_mm)} ${y(last.height_mm)})`}>
                <FarEnd isOpen={open} isWorked={each.id === end} />
                <ClearHose hose={frame.hoses[index]} side={anchors[index]?.anchor === "end" ? 1 : -1} />
                <text
                  x={anchors[index]?.x}
                  y="66"
                  textAnchor={anchors[index]?.anchor}
                  fontSize="15"
                  fill={theme.ink}
                >
                  {open ? `${each.label}, open` : each.label}
                </text>
              </g>
            ) : null}
          </g>
        );
      })}
      {unit ? (
        <g transform={`translate(${unit.left} ${unit.up})`}>
          <rect
            x="-22"
            y="-15"
            width="44"
            height="30"
            rx="4"
            fill={theme.panel}
            stroke={theme.tube}
            strokeWidth="5"
          />
          <text x="32" y="-6" fontSize="15" fill={theme.ink}>
            {isGlass ? `ABS unit, ${frame.unit_ml > 0 ? "air" : "no air"} behind its valves` : "ABS unit"}
          </text>
        </g>
      ) : null}
      {isGlass && frame.steam_ml > SEEN_ML
        ? ends.map((each, index) => {
            const { left, up } = place(index, each.points[each.points.length - 1]?.at_mm ?? 0);
            return (
              <text key={each.id} x={left} y={up - 24} textAnchor="middle" fontSize="15" fill={theme.stop}>
                boils
              </text>
            );
          })
        : null}
      {(isGlass ? frame.slugs : []).map((slug) => {
        const { left, up } = place(slug.path, slug.at_mm);
        const size = 5 + 9 * Math.cbrt(slug.ml);
        return (
          <g
            key={slug.id}
            data-moves
            data-slug
            style={{ transform: `translate(${left.toFixed(1)}px, ${up.toFixed(1)}px)` }}
          >
            {slug.fine ? (
              FROTH.map(([dx, dy]) => (
                <circle
                  key={dx}
                  cx={dx}
                  cy={dy}
                  r="3"
                  fill={theme.panel}
                  stroke={theme.ink}
                  strokeWidth="1.500"
                />
              ))
            ) : (
              <ellipse
                rx={size * 1.3}
                ry={Math.min(size, 8)}
                fill={theme.panel}
                stroke={theme.ink}
                strokeWidth="2.500"
              />
            )}
          </g>
        );
      })}
    </Drawing>
  );
}
