import { describe, expect, it } from "vitest";
import { onPaper } from "./download";
import { dark, light } from "./tokens";

describe("a drawing as a file", () => {
  it("has the light bench's colours, whatever bench was on show", () => {
    const drawn = (ink: string, tube: string) => `<path stroke="${ink}" fill="${tube}"/><path fill="none"/>`;
    expect(onPaper(drawn(dark.ink, dark.tube))).toBe(drawn(light.ink, light.tube));
    expect(onPaper(drawn(light.ink, light.tube))).toBe(drawn(light.ink, light.tube));
  });

  it("leaves other colours and text as they are", () => {
    const fluid = `<rect fill="#6b3f18"/><text>Kit #eaf3f1x</text>`;
    expect(onPaper(fluid)).toBe(fluid);
  });
});
