import { useQuery } from "@tanstack/react-query";
import { useEffect, useRef, useState } from "react";
import type { Bleed, Job } from "../../server/api";
import { knowledgeQuery } from "../../server/queries";
import { Big, Row } from "../../kit/layout";
import { Button } from "../../kit/Button";
import { tone } from "../../kit/sound";
import { useEntries } from "../useEntries";

interface Props {
  job: Job;
  /** The wait that is running, if any. */
  running: Bleed["wait"];
  /** The wait this step has, of the trade's table. */
  wait: string;
  isOpen: boolean;
}

const SECOND = 1000;

/** A wait that cannot be hurried: started here, running on the Bench as well, with a sound at its end. */
export function WaitTimer({ job, running, wait, isOpen }: Props) {
  const { add } = useEntries(job, "ask");
  const row = useQuery(knowledgeQuery).data?.waits.find((each) => each.id === wait);
  const left = useSecondsLeft(running?.label === row?.label ? running?.until : undefined);
  if (!row?.minutes) return null;
  return (
    <Row role="timer" aria-label={row.label}>
      {left === undefined ? null : left > 0 ? (
        <Big $size="2.6rem">{clock(left)}</Big>
      ) : (
        <strong>Time is up.</strong>
      )}
      <span>{row.label}</span>
      {isOpen && !(left !== undefined && left > 0) ? (
        <Button onPress={() => add("wait", { wait })}>{`Time ${row.minutes} min`}</Button>
      ) : null}
    </Row>
  );
}

/** Seconds until a time, counted down; one sound when it comes. */
export function useSecondsLeft(until: string | undefined): number | undefined {
  const [now, setNow] = useState(() => Date.now());
  const left = until === undefined ? undefined : Math.max(Math.ceil((Date.parse(until) - now) / SECOND), 0);
  const isRunning = left !== undefined && left > 0;
  const ran = useRef(false);
  useEffect(() => {
    if (!isRunning) return undefined;
    const timer = setInterval(() => setNow(Date.now()), SECOND);
    return () => clearInterval(timer);
  }, [isRunning, until]);
  useEffect(() => {
    if (isRunning) ran.current = true;
    else if (ran.current) {
      ran.current = false;
      [0, 0.4, 0.8].forEach((delay) => tone(660, 0.3, delay));
    }
  }, [isRunning]);
  return left;
}

function clock(seconds: number): string {
  return `${Math.floor(seconds / 60)}:${String(seconds % 60).padStart(2, "0")}`;
}
