import { describe, expect, it } from "vitest";
import { dark, fluidColours, fluidLooks, light } from "./tokens";
import type { Tokens } from "./tokens";

/** Relative luminance of #rrggbb, as WCAG 2 has it. */
function luminance(colour: string): number {
  const [red = 0, green = 0, blue = 0] = [1, 3, 5].map((at) => {
    const share = parseInt(colour.slice(at, at + 2), 16) / 255;
    return share <= 0.04045 ? share / 12.92 : ((share + 0.055) / 1.055) ** 2.4;
  });
  return 0.2126 * red + 0.7152 * green + 0.0722 * blue;
}

function contrast(one: string, other: string): number {
  const [dim = 0, bright = 0] = [luminance(one), luminance(other)].sort((a, b) => a - b);
  return (bright + 0.05) / (dim + 0.05);
}

/** Text, and what it stands on. */
const TEXT: [keyof Tokens, keyof Tokens][] = [
  ...(["ground", "panel", "sunk"] as const).flatMap((ground): [keyof Tokens, keyof Tokens][] => [
    ["ink", ground],
    ["quiet", ground],
    ["act", ground],
    ["stop", ground],
  ]),
  ["onAct", "act"],
  ["onStop", "stop"],
  ["ink", "actSoft"],
  ["good", "goodSoft"],
  ["warn", "warnSoft"],
  ["stop", "stopSoft"],
];

describe.each([
  ["light", light],
  ["dark", dark],
])("the %s theme", (_, theme) => {
  it.each(TEXT)("writes %s on %s so that it can be read", (ink, ground) => {
    expect(contrast(theme[ink], theme[ground])).toBeGreaterThanOrEqual(4.5);
  });

  it("draws the focus so that it stands out from every ground", () => {
    for (const ground of [theme.ground, theme.panel, theme.sunk]) {
      expect(contrast(theme.focus, ground)).toBeGreaterThanOrEqual(3);
    }
  });
});

describe("fluid", () => {
  const brightening = (colours: string[]) => colours.map(luminance);

  it("gets brighter from black to as fresh", () => {
    const bright = brightening(Object.values(fluidColours));
    expect(bright).toEqual([...bright].sort((a, b) => a - b));
    expect(Object.keys(fluidColours)).toEqual(["black", "brown", "amber", "as_fresh"]);
  });

  it("gets darker with age, and is drawn as the oldest where its age is unknown", () => {
    const { unknown, ...known } = fluidLooks;
    const bright = brightening(Object.values(known));
    expect(bright).toEqual([...bright].sort((a, b) => b - a));
    expect(unknown).toBe(known.coffee);
  });
});
