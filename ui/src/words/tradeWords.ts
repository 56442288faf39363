import type { Knowledge } from "../server/api";

export type TradeWord = Knowledge["words"][number];

export interface Piece {
  text: string;
  /** The word of the trade that it is. */
  word?: TradeWord;
}

interface Finder {
  byForm: ReadonlyMap<string, TradeWord>;
  found: RegExp;
}

/** Made once of the words that the server sent, and not for every sentence. */
const finders = new WeakMap<readonly TradeWord[], Finder>();

function finderOf(words: readonly TradeWord[]): Finder {
  const known = finders.get(words);
  if (known) return known;
  const byForm = new Map(words.flatMap((word) => word.forms.map((form) => [form, word] as const)));
  const forms = [...byForm.keys()].sort((a, b) => b.length - a.length);
  const found = new RegExp(`(?<![\\p{L}-])(?:${forms.map(escaped).join("|")})(?![\\p{L}-])`, "giu");
  const finder = { byForm, found };
  finders.set(words, finder);
  return finder;
}

/** A text in pieces: each word of the trade once, where it stands first, the longest form that fits. */
export function inPieces(text: string, words: readonly TradeWord[]): Piece[] {
  const { byForm, found } = finderOf(words);
  if (byForm.size === 0) return [{ text }];
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
