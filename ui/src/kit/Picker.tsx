import { useState } from "react";
import { Button, Label, ListBox, ListBoxItem, Popover, Select, SelectValue } from "react-aria-components";
import styled from "styled-components";
import type { Option } from "./Choice";

interface Props {
  label: string;
  options: Option[];
  value: string;
  onChange: (id: string) => void;
  isLabelHidden?: boolean;
  /** Stands there while nothing is picked. */
  placeholder?: string;
}

const Frame = styled(Select)<{ $hidden: boolean }>`
  display: grid;
  gap: 0.25rem;
  > span:first-child {
    font-weight: 600;
    ${(p) => (p.$hidden ? "position: absolute; width: 1px; height: 1px; overflow: hidden; clip-path: inset(50%);" : "")}
  }
`;

const Face = styled(Button)`
  display: flex;
  justify-content: space-between;
  align-items: center;
  gap: 0.5rem;
  min-height: 3rem;
  padding: 0 0.7rem;
  border: 2px solid ${(p) => p.theme.line};
  border-radius: 0.5rem;
  background: ${(p) => p.theme.panel};
  text-align: left;
  cursor: pointer;
`;

const Sheet = styled(Popover)`
  background: ${(p) => p.theme.panel};
  color: ${(p) => p.theme.ink};
  border: 2px solid ${(p) => p.theme.act};
  border-radius: 0.5rem;
  min-width: var(--trigger-width);
  overflow: auto;
`;

const Item = styled(ListBoxItem)`
  display: flex;
  align-items: center;
  min-height: 3rem;
  padding: 0 0.9rem;
  cursor: pointer;
  outline-offset: -3px;
  &[data-focused] {
    background: ${(p) => p.theme.actSoft};
  }
  &[data-selected] {
    font-weight: 700;
  }
`;

/** One of many, in a list that opens. Until it is reached it knows the picked one only: long lists take time to build. */
export function Picker({ label, options, value, onChange, isLabelHidden, placeholder }: Props) {
  const [isReached, setReached] = useState(false);
  const reach = () => setReached(true);
  const picked = options.filter(({ id }) => id === value);
  // a list without rows would not open
  const known = isReached || picked.length === 0 ? options : picked;
  return (
    <Frame
      $hidden={isLabelHidden ?? false}
      placeholder={placeholder ?? "Pick one"}
      value={value}
      onOpenChange={reach}
      onChange={(key) => (key === null || key === value ? undefined : onChange(String(key)))}
    >
      <Label>{label}</Label>
      <Face onFocus={reach}>
        <SelectValue />
        <svg width="14" height="10" viewBox="0 0 14 10" aria-hidden focusable="false">
          <path d="M1 2l6 6 6-6" fill="none" stroke="currentColor" strokeWidth="2.5" />
        </svg>
      </Face>
      <Sheet>
        <ListBox items={known}>{(option) => <Item id={option.id}>{option.label}</Item>}</ListBox>
      </Sheet>
    </Frame>
  );
}
