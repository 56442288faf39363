import { useEffect, useRef, useState } from "react";
import { timeIsUp } from "./sound";
import { time } from "./time";

const SECOND = 1000;

/** Seconds until a time, counted down; one sound when it comes. */
export function useSecondsLeft(until: string | undefined): number | undefined {
  const [now, setNow] = useState(time.now);
  const left = until === undefined ? undefined : Math.max(Math.ceil((Date.parse(until) - now) / SECOND), 0);
  const isRunning = left !== undefined && left > 0;
  const ran = useRef(false);
  useEffect(() => {
    if (!isRunning) return undefined;
    return time.every(SECOND, () => setNow(time.now()));
  }, [isRunning, until]);
  useEffect(() => {
    if (isRunning) ran.current = true;
    else if (ran.current) {
      ran.current = false;
      timeIsUp();
    }
  }, [isRunning]);
  return left;
}

export function clock(seconds: number): string {
  return `${Math.floor(seconds / 60)}:${String(seconds % 60).padStart(2, "0")}`;
}
