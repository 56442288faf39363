import type { Balance } from "../server/api";
import { figure } from "../kit/format";

/** How far the bar is turned from where it stands, and towards which end. */
export function turnsSaid(turns: number): string {
  const said = figure(Math.abs(turns), 1);
  if (Math.abs(turns) < 0.1) return "the bar stays";
  return `${said} ${said === "1.0" ? "turn" : "turns"} towards the ${turns > 0 ? "front" : "rear"}`;
}

/** What to do with the bar: how far it has to be turned, and which way. */
export function barSaid({ best, now, wanted }: Balance): string {
  const gives = now ? `${figure(now.front_percent, 0)} % of the brake force in front` : "";
  if (Math.abs(best.turns) < 0.1) return `The bar stands right: ${gives}.`;
  return `Turn the bar ${turnsSaid(best.turns)}: ${gives} now, ${figure(wanted.front_percent, 0)} % wanted.`;
}

/** How far the pedal goes where one circuit gives nothing. */
export function lostSaid({ now, ends }: Balance, say: (mm: number) => string): string {
  if (!now) return "";
  return [
    { end: ends.front, side: now.front },
    { end: ends.rear, side: now.rear },
  ]
    .map(({ end, side }) =>
      side.stops_if_lost
        ? `Without ${end.name} the pedal meets its stop before the other circuit brakes.`
        : `Without ${end.name} the pedal goes ${say(side.travel_if_lost_mm)}.`,
    )
    .join(" ");
}
