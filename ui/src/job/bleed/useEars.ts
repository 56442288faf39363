import { useEffect, useRef } from "react";
import type { Bleed } from "../../server/api";
import { useUnits } from "../../server/useUnits";
import { speak, tone } from "../../kit/sound";
import { useKept } from "../../kit/useKept";
import type { Units } from "../../kit/units";

const EARS = ["off", "spoken", "tones"] as const;
export type Ears = (typeof EARS)[number];

type Point = Bleed["points"][number];

/** The count for ears, while the eyes are on the nipple: spoken, or in tones; off until it is asked for. */
export function useEars(bleed: Bleed, point: Point) {
  const [ears, setEars] = useKept<Ears>("ears", EARS);
  const units = useUnits();
  const heard = useRef(counted(bleed));
  const now = counted(bleed);
  useEffect(() => {
    if (heard.current === now) return;
    heard.current = now;
    if (ears === "spoken") speak(said(bleed, point, units));
    if (ears === "tones") sound(bleed, point);
  });
  const next = () => setEars(EARS[(EARS.indexOf(ears) + 1) % EARS.length] ?? "off");
  return { ears, next };
}

/** What is worth hearing has changed. */
function counted(bleed: Bleed): string {
  const passed = bleed.points.reduce((sum, point) => sum + point.passed_ml, 0);
  return `${bleed.total_strokes} ${passed.toFixed(3)} ${bleed.reservoir.warning}`;
}

function said(bleed: Bleed, point: Point, units: Units): string {
  switch (bleed.reservoir.warning) {
    case "stop":
      return `Stop. ${bleed.method.refill}.`;
    case "now":
      return `${bleed.method.refill} now.`;
    default:
      return toGo(bleed, point, units);
  }
}

function toGo(bleed: Bleed, point: Point, units: Units): string {
  if (bleed.method.by_ml) {
    return point.ml_to_go > 0
      ? `${units.say("volume", point.ml_to_go, 0)} to go.`
      : "Enough. Look at the colour.";
  }
  const strokes = point.strokes_to_go === 0 ? "Enough. Look at the colour." : `${point.strokes_to_go} to go.`;
  return bleed.reservoir.warning === "soon"
    ? `${strokes} Top up in ${bleed.reservoir.strokes_to_top_up}.`
    : strokes;
}

/** High: counted. Two of the middle: refill. Long and low: the port is next. */
function sound(bleed: Bleed, point: Point): void {
  switch (bleed.reservoir.warning) {
    case "stop":
      return tone(180, 1.2);
    case "now":
      tone(440, 0.18);
      return tone(440, 0.18, 0.25);
    default:
      if (point.strokes_to_go === 0) tone(1320, 0.12, 0.15);
      return tone(880, 0.12);
  }
}
