import { useEffect, useRef, useState } from "react";
import { answer, client } from "../server/client";
import type { PracticeAction, PracticeFrame } from "../server/api";

/** How often hands are told to the circuit, ms; and how fast they pull and let go, s for the whole way. */
const TICK_MS = 100;
const PULL_S = 1.2;
const RETURN_S = 0.4;
/** A page that slept does not make up for it. */
const MOST_S = 0.5;

/** Hands at a simulated circuit: what they do is sent as it is done, and what comes back is drawn. */
export function usePractice(id: string, travelMm: number, first: PracticeFrame, isOn: boolean) {
  const [frame, setFrame] = useState(first);
  const [fault, setFault] = useState<string>();
  const isPulling = useRef(false);
  const lever = useRef(first.lever_mm);
  const waiting = useRef<PracticeAction[]>([]);
  useEffect(() => {
    if (!isOn) return undefined;
    let isSending = false;
    let last = performance.now();
    let isGone = false;
    const tick = async () => {
      const now = performance.now();
      if (isSending) return;
      const s = Math.min((now - last) / 1000, MOST_S);
      last = now;
      const way = (travelMm * s) / (isPulling.current ? PULL_S : RETURN_S);
      lever.current = Math.min(Math.max(lever.current + (isPulling.current ? way : -way), 0), travelMm);
      const actions = [...waiting.current, { do: "lever" as const, to: lever.current, s }];
      waiting.current = [];
      isSending = true;
      try {
        const { frames } = await answer(
          client.POST("/practice/runs/{id}/actions", { params: { path: { id } }, body: { actions } }),
        );
        const newest = frames[frames.length - 1];
        if (newest && !isGone) setFrame(newest);
      } catch (error) {
        if (!isGone) setFault(error instanceof Error ? error.message : String(error));
      }
      isSending = false;
    };
    const timer = setInterval(() => void tick(), TICK_MS);
    return () => {
      isGone = true;
      clearInterval(timer);
    };
  }, [id, travelMm, isOn]);
  return {
    frame,
    fault,
    pull: (pulls: boolean) => {
      isPulling.current = pulls;
    },
    act: (action: PracticeAction) => {
      waiting.current.push(action);
    },
  };
}
