import { describe, expect, it } from "vitest";
import { Units } from "../kit/units";
import type { Knowledge, ShelfItem } from "../server/api";
import { contentsSaid, fieldsSaid } from "./fieldsSaid";

const inches = new Units({ length: { unit: "in", factor: 1 / 25.4, extra_decimals: 2 } });
const knowledge = {
  shelf_fields: [
    { kind: "kit", field: "bore", label: "Bore", rule: { dimension: "length", type: "measure" } },
    { kind: "kit", field: "contents", label: "Contents", rule: { type: "contents" } },
    { kind: "kit", field: "fits", label: "Fits", rule: { type: "id", table: "constructions" } },
    { kind: "grease", field: "is", label: "Grease", rule: { table: "lubricants" } },
    { kind: "hose", field: "kind", label: "Kind", rule: { type: "choice" } },
  ],
  constructions: [{ id: "bar_radial", label: "Radial bar master" }],
  kit_items: [
    { id: "primary_cup", label: "Primary cup" },
    { id: "boot", label: "Boot" },
  ],
  lubricants: [{ id: "rubber", label: "Rubber grease" }],
  tools: [],
  fluids: [],
} as unknown as Knowledge;

const item = (kind: string, fields: Record<string, unknown>) => ({ kind, fields }) as ShelfItem;

describe("what is written down about a thing", () => {
  it("stands in one line, in the order of the table and in the shop's units", () => {
    const kit = item("kit", {
      contents: { primary_cup: { count: 2, material: "EPDM" }, boot: { count: 1 } },
      bore: 12.7,
    });
    expect(fieldsSaid(kit, knowledge, inches)).toBe("Bore 0.5 in. Contents: 2 Primary cup (EPDM), Boot");
    expect(fieldsSaid(kit, knowledge, new Units({}))).toMatch(/^Bore 12.7 mm\./);
  });

  it("has names for what tables name, and plain words for the rest", () => {
    expect(fieldsSaid(item("kit", { fits: "bar_radial" }), knowledge, inches)).toBe("Radial bar master");
    expect(fieldsSaid(item("grease", { is: "rubber" }), knowledge, inches)).toBe("Grease: Rubber grease");
    expect(fieldsSaid(item("hose", { kind: "braided_bicycle" }), knowledge, inches)).toBe(
      "Kind: braided bicycle",
    );
  });

  it("is nothing where nothing is written, and leaves out fields of other kinds of thing", () => {
    expect(fieldsSaid(item("kit", {}), knowledge, inches)).toBe("");
    expect(fieldsSaid(item("hose", { bore: 3.2 }), knowledge, inches)).toBe("");
  });

  it("says what it does not know by its id, and loses nothing", () => {
    expect(contentsSaid({ odd_piece: { count: 3 } }, knowledge)).toBe("3 odd_piece");
  });
});
