import { useTheme } from "styled-components";
import type { PartShape } from "./sectionShapes";

interface Props {
  shape: PartShape;
  width: number;
  /** Half the bore's height. */
  half: number;
  /** in: drawn solid. out: where it belongs. at_hand: the step is about it. */
  state: "in" | "out" | "at_hand";
  /** Which way its open side, large end or nose looks; unsaid draws it without telling. */
  faces?: "inward" | "outward" | "unsaid";
}

/** One part in the bore, drawn about its left edge and the bore's middle. */
export function SectionPart({ shape, width, half, state, faces = "inward" }: Props) {
  const theme = useTheme();
  const line = state === "at_hand" ? theme.focus : state === "out" ? theme.quiet : theme.ink;
  const fill = state === "out" ? "none" : shape === "piston" || shape === "rod" ? theme.tube : theme.panel;
  const look = {
    fill,
    stroke: line,
    strokeWidth: state === "at_hand" ? 5 : 3,
    strokeLinejoin: "round" as const,
    ...(state === "out" ? { strokeDasharray: "6 6" } : {}),
  };
  const flip = faces === "outward" ? `translate(${width} 0) scale(-1 1)` : undefined;
  if (faces === "unsaid") return <Unsaid width={width} half={half} look={look} ink={line} />;
  return (
    <g transform={flip}>
      <path
        d={state === "out" && shape === "cup" ? plainPath(width, half) : pathOf(shape, width, half)}
        {...look}
        {...(shape === "spring" ? { fill: "none" } : {})}
      />
      {shape === "cup" && state !== "out" ? (
        <path d={`M${width} ${-half}v${half * 2}`} stroke={line} strokeWidth={look.strokeWidth + 3} />
      ) : null}
    </g>
  );
}

function Unsaid({ width, half, look, ink }: { width: number; half: number; look: object; ink: string }) {
  return (
    <>
      <rect x="0" y={-half} width={width} height={half * 2} {...look} />
      <text x={width / 2} y="8" textAnchor="middle" fontSize="24" fontWeight="700" fill={ink}>
        ?
      </text>
    </>
  );
}

/** A cup that is out does not tell which way it goes in. */
function plainPath(width: number, half: number): string {
  return `M0 ${-half}H${width}V${half}H0Z`;
}

function pathOf(shape: PartShape, width: number, half: number): string {
  switch (shape) {
    case "spring":
      return springPath(width, half - 3);
    case "cup":
      return `M0 ${-half}L${width} ${-half}V${half}L0 ${half}L${width * 0.55} ${half * 0.45}V${-half * 0.45}Z`;
    case "piston":
      return `M0 ${-half * 0.5}h${width * 0.12}V${-half + 2}h${width * 0.2}v6h${width * 0.36}v-6h${width * 0.2}V${-half * 0.4}h${width * 0.12}V${half * 0.4}h${-width * 0.12}V${half - 2}h${-width * 0.2}v-6h${-width * 0.36}v6h${-width * 0.2}V${half * 0.5}H0Z`;
    case "washer":
    case "plate":
      return `M2 ${-half}h${width - 4}v${half * 2}h${-(width - 4)}Z`;
    case "ring":
      return `M2 ${-half - 8}h${width - 4}v18h${-(width - 4)}ZM2 ${half - 10}h${width - 4}v18h${-(width - 4)}Z`;
    case "boot":
      return bootPath(width, half);
    case "rod":
      return `M8-9H${width}V9H8A9 9 0 0 1 8-9Z`;
    case "lever":
      return `M0-14h18V-46h22V40q0 26 34 30l2 20-40-6q-18-6-18-30V14H0Z`;
  }
}

function springPath(width: number, half: number): string {
  const turns = 6;
  const pitch = width / (turns * 2);
  return Array.from(
    { length: turns * 2 + 1 },
    (_, turn) => `${turn === 0 ? "M" : "L"}${turn * pitch} ${turn % 2 === 0 ? -half : half}`,
  ).join("");
}

function bootPath(width: number, half: number): string {
  const step = width / 4;
  const top = `M0 ${-half - 4}l${step} 10l${step}-10l${step} 10l${step}-4`;
  return `${top}V${half - 2}l${-step}-4l${-step} 10l${-step}-10l${-step} 10Z`;
}
