import { Label, Radio, RadioGroup } from "react-aria-components";
import styled from "styled-components";

export interface Option {
  id: string;
  label: string;
  /** A small sample of the thing, such as a fluid's colour. */
  swatch?: string | undefined;
}

interface Props {
  label: string;
  hint?: string;
  options: Option[];
  value: string | undefined;
  onChange: (id: string) => void;
  isLabelHidden?: boolean;
}

const Group = styled(RadioGroup)<{ $hidden: boolean }>`
  display: grid;
  gap: 0.4rem;
  > span:first-child {
    font-weight: 650;
    ${(p) => (p.$hidden ? "position: absolute; width: 1px; height: 1px; overflow: hidden; clip-path: inset(50%);" : "")}
  }
`;

const Options = styled.div`
  display: flex;
  flex-wrap: wrap;
  gap: 0.4rem;
`;

const Chip = styled(Radio)`
  display: inline-flex;
  align-items: center;
  gap: 0.5rem;
  min-height: 3rem;
  padding: 0.3rem 0.95rem;
  border: 2px solid ${(p) => p.theme.line};
  border-radius: 0.5rem;
  background: ${(p) => p.theme.panel};
  cursor: pointer;
  &[data-hovered] {
    border-color: ${(p) => p.theme.act};
  }
  &[data-selected] {
    border-color: ${(p) => p.theme.act};
    background: ${(p) => p.theme.actSoft};
    font-weight: 650;
    box-shadow: inset 0 -4px 0 ${(p) => p.theme.act};
  }
`;

const Swatch = styled.i`
  width: 1.4rem;
  height: 1.4rem;
  border-radius: 50%;
  border: 2px solid ${(p) => p.theme.ink};
`;

const Hint = styled.span`
  color: ${(p) => p.theme.quiet};
  font-size: 0.95rem;
`;

/** One of a few, by touch or arrow keys. */
export function Choice({ label, hint, options, value, onChange, isLabelHidden }: Props) {
  return (
    <Group $hidden={isLabelHidden ?? false} value={value ?? null} onChange={onChange}>
      <Label>{label}</Label>
      {hint ? <Hint>{hint}</Hint> : null}
      <Options>
        {options.map((option) => (
          <Chip key={option.id} value={option.id}>
            {option.swatch ? <Swatch style={{ background: option.swatch }} /> : null}
            {option.label}
          </Chip>
        ))}
      </Options>
    </Group>
  );
}
