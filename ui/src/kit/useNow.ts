import { useEffect, useState } from "react";
import { time } from "./time";

const TICK_MS = 10_000;

/** The time, looked at again every few seconds. */
export function useNow(): number {
  const [now, setNow] = useState(time.now);
  useEffect(() => {
    return time.every(TICK_MS, () => setNow(time.now()));
  }, []);
  return now;
}
