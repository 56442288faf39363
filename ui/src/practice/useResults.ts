import { useState } from "react";
import type { PracticeResult } from "../server/api";

/** A run that is over, as it is kept in this browser; never on the shop's record. */
export interface Kept {
  name: string;
  lesson: string;
  at: string;
  done: boolean;
  slips: number;
  seconds: number;
  used_ml: number;
  air_left_ml: number;
}

const RESULTS = "sandbag.practice.results";
const NAME = "sandbag.practice.name";
/** The oldest are forgotten. */
const MOST = 200;

function read(): Kept[] {
  try {
    const kept: unknown = JSON.parse(localStorage.getItem(RESULTS) ?? "[]");
    return Array.isArray(kept) ? (kept as Kept[]) : [];
  } catch {
    return [];
  }
}

/** Who practises here, and what came of it, by name. */
export function useResults() {
  const [name, setName] = useState(() => localStorage.getItem(NAME) ?? "");
  const [results, setResults] = useState(read);
  return {
    name,
    /** Of whoever practises now. */
    results: results.filter((each) => each.name === name),
    setName: (next: string) => {
      localStorage.setItem(NAME, next.trim());
      setName(next.trim());
    },
    keep: (lesson: string, result: PracticeResult) => {
      const { done, seconds, used_ml, air_left_ml } = result;
      const kept: Kept = {
        name,
        lesson,
        at: new Date().toISOString(),
        done,
        slips: result.slips.reduce((sum, slip) => sum + slip.times, 0),
        seconds,
        used_ml,
        air_left_ml,
      };
      const all = [...read(), kept].slice(-MOST);
      localStorage.setItem(RESULTS, JSON.stringify(all));
      setResults(all);
    },
  };
}
