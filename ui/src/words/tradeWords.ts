import type { Knowledge } from "../server/api";

export type TradeWord = Knowledge["words"][number];

export interface Piece {
  text: string;
  /** The word of the trade that it is. */
  word?: TradeWord;
}

/** A text in pieces: each word of the trade once, where it stands first, the longest form that fits. */
export function inPieces(text: string, words: readonly TradeWord[]): Piece[] {
  const byForm = new Map(words.flatMap((word) => word.forms.map((form) => [form, word] as const)));
  const forms = [...byForm.keys()].sort((a, b) => b.length - a.length);
  if (forms.length === 0) return [{ text }];
  const found = new RegExp(`(?<![\\p{L}-])(?:${forms.map(escaped).join("|")})(?![\\p{L}-])`, "giu");
  const pieces: Piece[] = [];
  const seen = new Set<string>();
  let from = 0;
  for (const match of text.matchAll(found)) {
    const word = byForm.get(match[0].toLowerCase());
    if (!word || seen.has(word.id)) continue;
    seen.add(word.id);
    if (match.index > from) pieces.push({ text: text.slice(from, match.index) });
    pieces.push({ text: match[0], word });
    from = match.index + match[0].length;
  }
  return from < text.length || pieces.length === 0 ? [...pieces, { text: text.slice(from) }] : pieces;
}

function escaped(form: string): string {
  return form.replace(/[.*+?^${}()|[\]\\]/g, "\\$&");
}
