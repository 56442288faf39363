import styled, { useTheme } from "styled-components";
import type { Section } from "../server/api";
import { SectionPart } from "./SectionPart";
import { placed } from "./sectionShapes";

interface Props {
  section: Section;
  /** A part whose facing is still being asked: drawn so that the drawing does not answer. */
  asked?: string[];
}

const HALF = 42;
const FROM = 62;
const GAP = 8;
const MIDDLE = 128;
const TALL = 250;

/** Parts that lie in front of the bore, whatever their shape. */
const OUTSIDE = ["pad", "release_bearing"];

const Drawing = styled.svg`
  width: 100%;
  max-height: 16rem;
`;

/** The cylinder cut open along its bore: closed end left, lever right. Dashed is out, thick is the step at hand. */
export function SectionDrawing({ section, asked = [] }: Props) {
  const theme = useTheme();
  const parts = section.parts;
  const places = placed(
    parts.map((part) => part.id),
    FROM,
    GAP,
  );
  const boreEnd = parts.findIndex(
    (part, index) =>
      ["boot", "rod", "lever"].includes(places[index]?.shape ?? "") || OUTSIDE.includes(part.id),
  );
  const mouth = (boreEnd < 0 ? last(places) : (places[boreEnd - 1] ?? last(places))) ?? { x: FROM, width: 0 };
  const mouthAt = mouth.x + mouth.width + GAP;
  const wide = (last(places)?.x ?? 0) + (last(places)?.width ?? 0) + 24;
  return (
    <Drawing viewBox={`0 0 ${wide} ${TALL}`} role="img" aria-label={described(section)}>
      <path
        d={`M40 ${MIDDLE - HALF - 26}H${mouthAt}V${MIDDLE - HALF}H52V${MIDDLE + HALF}H${mouthAt}V${MIDDLE + HALF + 26}H40Q24 ${MIDDLE + HALF + 26} 24 ${MIDDLE + HALF + 8}V${MIDDLE - HALF - 8}Q24 ${MIDDLE - HALF - 26} 40 ${MIDDLE - HALF - 26}Z`}
        fill={theme.sunk}
        stroke={theme.tube}
        strokeWidth="3"
      />
      <rect
        x="53"
        y={MIDDLE - HALF + 1}
        width={mouthAt - 53}
        height={HALF * 2 - 2}
        fill={theme.fresh}
        opacity="0.22"
      />
      <path d={`M14 ${MIDDLE}h38`} stroke={theme.fresh} strokeWidth="13" />
      {section.reservoir ? (
        <>
          <path
            d={`M150 ${MIDDLE - HALF - 28}v28M250 ${MIDDLE - HALF - 28}v28`}
            stroke={theme.fresh}
            strokeWidth="7"
          />
          <path d={`M128 ${MIDDLE - HALF - 28}h144l10-26H118Z`} fill={theme.fresh} opacity="0.5" />
          <path
            d={`M112 ${MIDDLE - HALF - 60}l16 32M288 ${MIDDLE - HALF - 60}l-16 32`}
            stroke={theme.tube}
            strokeWidth="4"
          />
        </>
      ) : null}
      {parts.map((part, index) => {
        const place = places[index];
        if (!place) return null;
        const state = part.at_hand ? "at_hand" : part.is_in ? "in" : "out";
        return (
          <g key={part.id} data-part={part.id} transform={`translate(${place.x} ${MIDDLE})`}>
            <SectionPart
              shape={place.shape}
              width={place.width}
              half={HALF - 3}
              state={state}
              faces={asked.includes(part.id) ? "unsaid" : "inward"}
            />
          </g>
        );
      })}
      <g fontSize="21" fill={theme.ink}>
        {section.label ? (
          <text x="24" y="26" fontWeight="700">
            {section.label}
          </text>
        ) : null}
        {parts
          .map((part, index) => ({ part, place: places[index] }))
          .filter(({ part }) => part.at_hand)
          .map(({ part, place }, row) => (
            <g key={part.id}>
              <path
                d={`M${(place?.x ?? 0) + (place?.width ?? 0) / 2} ${MIDDLE + HALF + 4}V${MIDDLE + HALF + 36 + (row % 2) * 20}`}
                stroke={theme.focus}
                strokeWidth="2"
              />
              <text
                x={Math.min((place?.x ?? 0) + (place?.width ?? 0) / 2, wide - 60)}
                y={MIDDLE + HALF + 50 + (row % 2) * 20}
                textAnchor="middle"
                fontWeight="650"
                paintOrder="stroke"
                stroke={theme.panel}
                strokeWidth="4"
              >
                {part.label}
              </text>
            </g>
          ))}
      </g>
    </Drawing>
  );
}

function last<Item>(items: Item[]): Item | undefined {
  return items[items.length - 1];
}

/** The same in words. */
function described(section: Section): string {
  const words = (from: Section["parts"]) => from.map((part) => part.label).join(", ");
  const at = section.parts.filter((part) => part.at_hand);
  const out = section.parts.filter((part) => !part.is_in && !part.at_hand);
  const inside = section.parts.filter((part) => part.is_in && !part.at_hand);
  return [
    `${section.label ?? "The cylinder"} cut open, from the bore's end to the lever.`,
    at.length > 0 ? `At hand: ${words(at)}.` : "",
    inside.length > 0 ? `In: ${words(inside)}.` : "Nothing is in.",
    out.length > 0 ? `Out: ${words(out)}.` : "",
  ].join(" ");
}
