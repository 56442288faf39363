import styled from "styled-components";
import type { Bleed } from "../../server/api";
import { Button } from "../../kit/Button";
import { PHONE } from "../../kit/tokens";
import type { Ears } from "./useEars";

interface Props {
  actions: {
    next: (() => void) | undefined;
    topUp: () => void;
    bubbles: () => void;
    colour: () => void;
    undo: (() => void) | undefined;
    uncovered: () => void;
    finish: (() => void) | undefined;
    ears: () => void;
  };
  /** The step before is still on its way, and the next one not known. */
  isBusy: boolean;
  method: Bleed["method"];
  /** Every point ran clean: nothing has to be counted. */
  isFinished: boolean;
  /** What Space does now, and how. */
  step: string;
  how: string | undefined;
  /** Several steps of the same kind at once. */
  times: { label: string; send: (() => void) | undefined } | undefined;
  canFinish: boolean;
  undoWord: string | undefined;
  ears: Ears;
}

const Bar = styled.div`
  display: grid;
  gap: 0.6rem;
  grid-template-columns: repeat(7, minmax(0, 1fr));
  @media (max-width: 74rem) {
    grid-template-columns: repeat(4, minmax(0, 1fr));
  }
  @media ${PHONE} {
    grid-template-columns: repeat(2, minmax(0, 1fr));
  }
  > [data-main] {
    min-height: 4.5rem;
    font-size: 1.35rem;
    grid-column: 1 / -1;
  }
  > [data-main]:has(+ [data-times]) {
    grid-column: 1 / -2;
  }
  > :not([data-main]) {
    padding-inline: 0.5rem;
    line-height: 1.15;
  }
`;

const How = styled.small`
  display: block;
  font-size: 1rem;
  font-weight: 400;
`;

const EARS: Record<Ears, string> = { off: "Sound off", spoken: "Spoken", tones: "Tones" };

export function BleedActions(given: Props) {
  const { actions, isBusy, method, isFinished, step, how, times, canFinish, undoWord, ears } = given;
  return (
    <Bar>
      <Button
        data-main
        data-busy={isBusy}
        tone={actions.next && !isFinished ? "act" : "plain"}
        hotkey="Space"
        isDisabled={!actions.next}
        onPress={() => actions.next?.()}
      >
        <span>
          {step}
          {how ? <How>{how}</How> : null}
        </span>
      </Button>
      {times ? (
        <Button data-times isDisabled={!times.send} onPress={() => times.send?.()}>
          {times.label}
        </Button>
      ) : null}
      <Button hotkey="T" tone={actions.next || method.by_ml ? "plain" : "act"} onPress={actions.topUp}>
        {method.supply === "reservoir" ? "Topped up" : "Refilled"}
      </Button>
      <Button hotkey="B" onPress={actions.bubbles}>
        Bubbles
      </Button>
      <Button hotkey="C" onPress={actions.colour}>
        Colour
      </Button>
      <Button hotkey="F" isDisabled={!actions.finish || !canFinish} onPress={() => actions.finish?.()}>
        {actions.finish ? "Point finished" : "Finished"}
      </Button>
      <Button hotkey="U" isDisabled={!actions.undo} onPress={() => actions.undo?.()}>
        {undoWord ? `Undo ${undoWord}` : "Undo"}
      </Button>
      <Button tone="stop" hotkey="X" onPress={actions.uncovered}>
        {method.supply === "reservoir" ? "Port uncovered" : "Syringe ran empty"}
      </Button>
      <Button hotkey="E" onPress={actions.ears}>
        {EARS[ears]}
      </Button>
    </Bar>
  );
}
