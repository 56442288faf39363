import { useState } from "react";
import styled from "styled-components";
import { useHeldKey } from "./useHeldKey";

interface Props {
  /** At rest, and while it is held. */
  words: [string, string];
  /** As `KeyboardEvent.key` says it, and as it is shown. */
  hotkey: [string, string];
  isSmall?: boolean;
  onHold: (isHeld: boolean) => void;
}

const Pad = styled.button<{ $held: boolean; $small: boolean }>`
  min-height: ${(p) => (p.$small ? "3.4rem" : "5.5rem")};
  width: 100%;
  border-radius: 0.75rem;
  border: 3px solid ${(p) => p.theme.act};
  background: ${(p) => (p.$held ? p.theme.actSoft : p.theme.panel)};
  color: ${(p) => p.theme.ink};
  font: inherit;
  font-size: ${(p) => (p.$small ? "1.1rem" : "1.4rem")};
  font-weight: 700;
  cursor: pointer;
  touch-action: none;
  user-select: none;
`;

/** Something that a hand holds: by a finger on it, or by a key. */
export function HoldButton({ words, hotkey, isSmall = false, onHold }: Props) {
  const [isHeld, setHeld] = useState(false);
  const hold = (holds: boolean) => {
    setHeld(holds);
    onHold(holds);
  };
  useHeldKey(hotkey[0], hold);
  return (
    <Pad
      type="button"
      $held={isHeld}
      $small={isSmall}
      onPointerDown={() => hold(true)}
      onPointerUp={() => hold(false)}
      onPointerLeave={() => {
        if (isHeld) hold(false);
      }}
    >
      {words[isHeld ? 1 : 0]} <small>({hotkey[1]})</small>
    </Pad>
  );
}
