import { useState } from "react";
import styled from "styled-components";
import { EntryField } from "./EntryField";
import { dark } from "./tokens";

const Both = styled.div`
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  gap: 0.5rem;
  align-items: end;
`;

/** The browser's own calendar, as one square key. */
const Calendar = styled.input`
  width: 3rem;
  height: 3rem;
  padding: 0 0.9rem;
  border: 2px solid ${(p) => p.theme.line};
  border-radius: 0.5rem;
  background: ${(p) => p.theme.panel};
  color: transparent;
  cursor: pointer;
  color-scheme: ${(p) => (p.theme.ground === dark.ground ? "dark" : "light")};
  &::-webkit-datetime-edit {
    display: none;
  }
  &::-webkit-calendar-picker-indicator {
    margin: 0;
    width: 1.2rem;
    height: 1.2rem;
  }
`;

interface Props {
  label: string;
  value: string;
  onFinish: (day: string) => void;
}

/** A day, typed in any usual form or picked from the calendar; the core reads it. */
export function DayField({ label, value, onFinish }: Props) {
  // a picked day replaces what was typed
  const [picks, setPicks] = useState(0);
  return (
    <Both>
      <EntryField key={picks} label={label} value={value} onFinish={onFinish} />
      <Calendar
        type="date"
        aria-label={`${label}: pick the day`}
        value={/^\d{4}-\d\d-\d\d$/.test(value) ? value : ""}
        onChange={(event) => {
          setPicks(picks + 1);
          onFinish(event.target.value);
        }}
      />
    </Both>
  );
}
