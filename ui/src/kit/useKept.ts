import { useState } from "react";

const PLACE = "sandbag.";

/** One of a few, remembered in this browser. */
export function useKept<Value extends string>(name: string, values: readonly [Value, ...Value[]]) {
  const [value, setValue] = useState<Value>(() => {
    const kept = localStorage.getItem(PLACE + name);
    return values.find((each) => each === kept) ?? values[0];
  });
  const set = (next: Value) => {
    localStorage.setItem(PLACE + name, next);
    setValue(next);
  };
  return [value, set] as const;
}
