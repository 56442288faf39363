import { describe, expect, it } from "vitest";
import { inPieces } from "./tradeWords";

const word = (id: string, ...forms: string[]) => ({ id, label: id, says: "", forms });
const WORDS = [
  word("banjo", "banjo", "banjo bolt"),
  word("bolt", "bolt"),
  word("perch", "perch"),
  word("kit"),
];

const marked = (text: string) =>
  inPieces(text, WORDS)
    .map((piece) => (piece.word ? `[${piece.text}:${piece.word.id}]` : piece.text))
    .join("");

describe("words of the trade in a sentence", () => {
  it("are marked in their longest form, with the letters as they stand", () => {
    expect(marked("Banjo bolt out.")).toBe("[Banjo bolt:banjo] out.");
    expect(marked("Turn the bolt.")).toBe("Turn the [bolt:bolt].");
  });

  it("are marked once in a text", () => {
    expect(marked("perch and perch")).toBe("[perch:perch] and perch");
  });

  it("are no part of a longer word, and none of its own", () => {
    expect(marked("the perched non-bolt")).toBe("the perched non-bolt");
    expect(marked("a kit")).toBe("a kit");
    expect(marked("")).toBe("");
  });
});
