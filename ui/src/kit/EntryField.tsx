import { useRef, useState } from "react";
import type { KeyboardEvent } from "react";
import { FieldError, Input, Label, TextField } from "react-aria-components";
import styled from "styled-components";

interface Props {
  label: string;
  /** What stands there now, as text. */
  value: string;
  unit?: string;
  error?: string | undefined;
  isLabelHidden?: boolean;
  /** Given the text when it is finished (Enter, or leaving the field) and differs from what stood there. */
  onFinish: (text: string) => void;
  inputMode?: "decimal" | "text";
  name?: string;
  /** Enter leaves the field, so that the keys of the page work again. */
  isLeftByEnter?: boolean;
  /** The cursor is in it from the start. */
  hasCursor?: boolean;
}

const Frame = styled(TextField)<{ $hidden: boolean }>`
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 0.25rem;
  label {
    ${(p) => (p.$hidden ? "position: absolute; width: 1px; height: 1px; overflow: hidden; clip-path: inset(50%);" : "")}
    font-weight: 600;
  }
`;

export const InputBox = styled.div<{ $words?: boolean }>`
  display: flex;
  align-items: center;
  min-width: 0;
  min-height: 3rem;
  border: 2px solid ${(p) => p.theme.line};
  border-radius: 0.5rem;
  background: ${(p) => p.theme.panel};
  padding: 0 0.7rem;
  &:focus-within {
    border-color: ${(p) => p.theme.act};
  }
  input {
    flex: 1;
    min-width: 0;
    align-self: stretch;
    border: 0;
    background: transparent;
    outline-offset: 4px;
    font-family: ${(p) => (p.$words ? "inherit" : '"Atkinson Hyperlegible Mono Variable", monospace')};
  }
  span {
    color: ${(p) => p.theme.quiet};
    padding-left: 0.4rem;
    white-space: nowrap;
  }
`;

const Fault = styled(FieldError)`
  color: ${(p) => p.theme.stop};
  font-size: 0.95rem;
`;

/** Text as typed and value as stored are two things: what was typed stays, also when it is refused. */
export function EntryField(props: Props) {
  const [typed, setTyped] = useState<string | null>(null);
  // Enter and then leaving the field is one finish, not two: both come before the field is drawn again
  const finished = useRef<string | null>(null);
  const text = typed ?? props.value;
  const isDropped = useRef(false);
  const finish = () => {
    if (isDropped.current || typed === null || typed === props.value) {
      isDropped.current = false;
      return setTyped(null);
    }
    if (typed === finished.current) return;
    finished.current = typed;
    props.onFinish(typed);
  };
  const change = (next: string) => {
    finished.current = null;
    setTyped(next);
  };
  const onKeyDown = (event: KeyboardEvent) => {
    if (event.key === "Enter") {
      finish();
      if (props.isLeftByEnter && event.target instanceof HTMLElement) event.target.blur();
    }
    if (event.key === "Escape" && event.target instanceof HTMLElement) {
      // what was typed is dropped, and the keys of the page work again
      isDropped.current = true;
      event.target.blur();
    }
  };
  return (
    <Frame
      $hidden={props.isLabelHidden ?? false}
      value={text}
      onChange={change}
      onBlur={finish}
      isInvalid={Boolean(props.error) && typed !== null}
      {...(props.name ? { name: props.name } : {})}
    >
      <Label>{props.label}</Label>
      <InputBox $words={!props.unit && props.inputMode !== "decimal"}>
        <Input
          inputMode={props.inputMode ?? "text"}
          autoComplete="off"
          autoFocus={props.hasCursor ?? false}
          onKeyDown={onKeyDown}
        />
        {props.unit ? <span>{props.unit}</span> : null}
      </InputBox>
      <Fault>{props.error}</Fault>
    </Frame>
  );
}
