import styled from "styled-components";
import { Button } from "../../kit/Button";

interface Props {
  actions: {
    stroke: (() => void) | undefined;
    topUp: () => void;
    bubbles: () => void;
    colour: () => void;
    undo: (() => void) | undefined;
    uncovered: () => void;
    finish: (() => void) | undefined;
  };
  canFinish: boolean;
  undoWord: string | undefined;
}

const Bar = styled.div`
  display: grid;
  gap: 0.6rem;
  grid-template-columns: repeat(6, minmax(0, 1fr));
  @media (max-width: 74rem) {
    grid-template-columns: repeat(3, minmax(0, 1fr));
  }
  > :first-child {
    min-height: 4.5rem;
    font-size: 1.35rem;
    grid-column: 1 / -1;
  }
  > :not(:first-child) {
    padding-inline: 0.5rem;
    line-height: 1.15;
  }
`;

export function BleedActions({ actions, canFinish, undoWord }: Props) {
  return (
    <Bar>
      <Button
        tone={actions.stroke ? "act" : "plain"}
        hotkey="Space"
        isDisabled={!actions.stroke}
        onPress={() => actions.stroke?.()}
      >
        {actions.stroke ? "Count a stroke" : "Topped up, or port uncovered?"}
      </Button>
      <Button hotkey="T" tone={actions.stroke ? "plain" : "act"} onPress={actions.topUp}>
        Topped up
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
        Port uncovered
      </Button>
    </Bar>
  );
}
