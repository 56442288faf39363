import { useState } from "react";
import { Button } from "../kit/Button";
import { Choice } from "../kit/Choice";
import { Panel, Row } from "../kit/layout";
import { useHotkeys } from "../kit/useHotkeys";
import type { PracticeAction, PracticeFrame, PracticeStart } from "../server/api";
import { HoldButton } from "./HoldButton";
import type { Held } from "./usePractice";

interface Props {
  run: PracticeStart;
  frame: PracticeFrame;
  end: string;
  turns: number;
  onEnd: (end: string) => void;
  onTurns: (turns: number) => void;
  pull: (pulls: boolean) => void;
  hold: (what: Held | undefined) => void;
  act: (...actions: PracticeAction[]) => void;
  crack: () => void;
  onFinish: () => void;
}

/** What a nipple is opened by until another opening is picked. */
const QUARTER = "0.25";

/** What hands can do to the circuit, each by a key: the lever held by one, the nipple worked by another. */
export function Hands({ run, frame, end, turns, onEnd, onTurns, pull, hold, act, crack, onFinish }: Props) {
  const { pace } = run;
  const [opening, setOpening] = useState(QUARTER);
  const [laid, setLaid] = useState<string[]>([]);
  const turn = (next: number) => {
    onTurns(next);
    act({ do: "nipple", end, turns: next });
  };
  const nipple = () => turn(turns > 0 ? 0 : Number(opening));
  const topUp = () => act({ do: "pour", ml: Math.max(run.reservoir_full_ml - frame.reservoir_ml, 0) });
  const drawOff = () =>
    act({ do: "take", ml: Math.max(frame.reservoir_ml - run.reservoir_full_ml * pace.drawn_to, 0) });
  const tap = () => act({ do: "tap" });
  const { tools, places, fits } = run.lesson;
  const [fitted, setFitted] = useState<Record<string, string>>({});
  const pressHome = () => act({ do: "press", end, ...pace.press });
  const cycle = () => act({ do: "cycle", s: pace.cycle_s });
  const has = (tool: (typeof tools)[number]) => tools.includes(tool);
  useHotkeys({
    n: nipple,
    t: topUp,
    k: tap,
    f: onFinish,
    r: has("syringe") || has("press") ? drawOff : undefined,
    j: has("crack") ? crack : undefined,
    b: has("press") ? pressHome : undefined,
    a: has("abs") ? cycle : undefined,
  });
  return (
    <Panel>
      <HoldButton words={["Hold to pull", "Pulling"]} hotkey={[" ", "Space"]} onHold={pull} />
      {has("syringe") ? (
        <HoldButton
          words={["Hold to push the syringe", "Pushing"]}
          hotkey={["p", "P"]}
          isSmall
          onHold={(isHeld) => hold(isHeld ? "push" : undefined)}
        />
      ) : null}
      {has("feed") ? (
        <HoldButton
          words={["Hold to push from the master", "Pushing"]}
          hotkey={["m", "M"]}
          isSmall
          onHold={(isHeld) => hold(isHeld ? "feed" : undefined)}
        />
      ) : null}
      {has("vacuum") ? (
        <HoldButton
          words={["Hold to draw by vacuum", "Drawing"]}
          hotkey={["v", "V"]}
          isSmall
          onHold={(isHeld) => hold(isHeld ? "draw" : undefined)}
        />
      ) : null}
      {run.ends.length > 1 ? (
        <Choice
          label="Nipple"
          options={run.ends.map(({ id, label }) => ({ id, label }))}
          value={end}
          onChange={(id) => {
            if (turns > 0) turn(0);
            onEnd(id);
          }}
        />
      ) : null}
      {fits.length > 0 ? (
        <Choice
          label="At the nipple"
          options={fits}
          value={fitted[end] ?? "hose"}
          onChange={(what) => {
            setFitted({ ...fitted, [end]: what });
            act({ do: "fit", end, what });
          }}
        />
      ) : null}
      <Row $gap={1}>
        <Button tone={turns > 0 ? "stop" : "act"} onPress={nipple}>
          {turns > 0 ? "Shut the nipple (N)" : "Open the nipple (N)"}
        </Button>
        <Choice
          label="How far"
          isLabelHidden
          options={pace.openings.map(({ label, turns: far }) => ({ id: String(far), label }))}
          value={opening}
          onChange={(id) => {
            setOpening(id);
            if (turns > 0) turn(Number(id));
          }}
        />
      </Row>
      <Row $gap={1}>
        <Button onPress={topUp}>Top up (T)</Button>
        {has("syringe") || has("press") ? <Button onPress={drawOff}>Draw off (R)</Button> : null}
        {has("crack") ? <Button onPress={crack}>Crack the master's joint (J)</Button> : null}
        {has("press") ? <Button onPress={pressHome}>Press the pistons home (B)</Button> : null}
        {has("abs") ? <Button onPress={cycle}>{`ABS tool, ${pace.cycle_s} s (A)`}</Button> : null}
        {has("pass") ? (
          <>
            <Button onPress={() => act(...pace.pass)}>Brake down the pass</Button>
            <Button onPress={() => act(...pace.cooling)}>Let it cool</Button>
          </>
        ) : null}
        <Button onPress={tap}>Tap the hose (K)</Button>
        {places
          .filter((place) => !laid.includes(place.id))
          .map((place) => (
            <Button
              key={place.id}
              onPress={() => {
                setLaid([...laid, place.id]);
                act({ do: "place", what: place.id });
              }}
            >
              {place.label}
            </Button>
          ))}
        <Button onPress={onFinish}>Finish (F)</Button>
      </Row>
    </Panel>
  );
}
