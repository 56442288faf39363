import { useEffect, useRef, useState } from "react";
import { time } from "../kit/time";
import { answer, client } from "../server/client";
import type { PracticeAction, PracticeEnds, PracticeFrame, PracticeSlip, PracticeStart } from "../server/api";

/** How often hands are told to the circuit, ms. */
export const TICK_MS = 100;
/** A page that slept does not make up for it. */
const MOST_S = 0.5;

/** What is held besides the lever. */
export type Held = "push" | "feed" | "draw";

/** Hands at a simulated circuit: what they do is sent as it is done, and what comes back is drawn. */
export function usePractice(run: PracticeStart, end: string, speed: number, isOn: boolean) {
  const [frame, setFrame] = useState<PracticeFrame>(run.frame);
  const [ends, setEnds] = useState<PracticeEnds>(run.ends);
  const [fault, setFault] = useState<string>();
  const [slips, setSlips] = useState<PracticeSlip[]>([]);
  const isPulling = useRef(false);
  /** Where a dragged lever is held, as a share of its way. */
  const dragged = useRef<number>(undefined);
  const held = useRef<Held>(undefined);
  const lever = useRef(run.frame.lever_mm);
  const waiting = useRef<PracticeAction[]>([]);
  const worked = useRef({ end, speed });
  useEffect(() => {
    worked.current = { end, speed };
  });
  useEffect(() => {
    if (!isOn) return undefined;
    let isSending = false;
    let last = time.now();
    let isGone = false;
    /** What hands do for so many seconds. */
    const going = (s: number): PracticeAction => {
      const from = lever.current;
      const wanted = run.travel_mm * (isPulling.current ? 1 : (dragged.current ?? 0));
      const way = (run.travel_mm * s) / (wanted > from ? run.pace.pull_s : run.pace.return_s);
      lever.current = from + Math.min(Math.max(wanted - from, -way), way);
      if (from === 0 && lever.current === 0) {
        if (held.current === "push" || held.current === "feed")
          return { do: held.current, end: worked.current.end, ml: run.pace.push_ml_s * s, s };
        if (held.current === "draw") return { do: "draw", mpa: run.pace.vacuum_mpa, s };
      }
      return { do: "lever", to: lever.current, s };
    };
    const send = async (s: number) => {
      const next = takeNext(waiting.current, run.pace.piece_s);
      const hasRoom = waiting.current.length === 0 && secondsOf(next) + s <= run.pace.piece_s;
      const actions = hasRoom ? [...next, going(s)] : next;
      const answered = await answer(
        client.POST("/practice/runs/{id}/actions", { params: { path: { id: run.id } }, body: { actions } }),
      );
      const newest = answered.frames[answered.frames.length - 1];
      if (newest && !isGone) setFrame(newest);
      if (answered.ends && !isGone) setEnds(answered.ends);
      if (answered.slips && !isGone) setSlips((made) => [...made, ...(answered.slips ?? [])]);
    };
    const tick = async () => {
      const now = time.now();
      if (isSending) return;
      const s = Math.min((now - last) / 1000, MOST_S) * worked.current.speed;
      last = now;
      // a clock that was set back: no time has passed
      if (s <= 0) return;
      isSending = true;
      try {
        do await send(s);
        while (waiting.current.length > 0 && !isGone);
      } catch (error) {
        if (!isGone) setFault(error instanceof Error ? error.message : String(error));
      }
      isSending = false;
    };
    const stop = time.every(TICK_MS, tick);
    return () => {
      isGone = true;
      stop();
    };
  }, [run, isOn]);
  return {
    frame,
    ends,
    fault,
    slips,
    pull: (pulls: boolean) => {
      isPulling.current = pulls;
    },
    drag: (share: number | undefined) => {
      dragged.current = share;
    },
    hold: (what: Held | undefined) => {
      held.current = what;
    },
    act: (...actions: PracticeAction[]) => {
      waiting.current.push(...actions);
    },
    /** The joint at the master, slack while a lever that is held goes on. */
    crack: () => {
      if (isPulling.current || dragged.current) lever.current = run.travel_mm;
      waiting.current.push({ do: "crack", to: lever.current, s: run.pace.crack_s });
    },
  };
}

const secondsOf = (actions: PracticeAction[]) => actions.reduce((sum, action) => sum + (action.s ?? 0), 0);

/** As many of the actions that wait as one request may take; the others stay. */
function takeNext(waiting: PracticeAction[], most: number): PracticeAction[] {
  const tooMany = waiting.findIndex((_, index) => secondsOf(waiting.slice(0, index + 1)) > most);
  return waiting.splice(0, tooMany === -1 ? waiting.length : tooMany);
}
