import styled, { useTheme } from "styled-components";

const STEPS = [
  ["Pump", "slow strokes, nipple shut"],
  ["Hold", "lever in, steady"],
  ["Open", "an eighth to a quarter turn"],
  ["Close", "before the lever moves back"],
  ["Release", "slowly, then count"],
] as const;

const List = styled.ol`
  display: grid;
  grid-template-columns: repeat(5, minmax(0, 1fr));
  gap: 0.3rem;
  li {
    padding: 0.2rem 0.4rem 0.2rem 0.9rem;
    position: relative;
  }
  svg {
    position: absolute;
    left: -0.25rem;
    top: 0.35rem;
  }
  strong {
    display: block;
  }
  small {
    color: ${(p) => p.theme.quiet};
    font-size: 0.9rem;
    line-height: 1.2;
    display: block;
  }
`;

/** One cycle, in words; a stroke is counted when it is through. */
export function Cycle() {
  const theme = useTheme();
  return (
    <List aria-label="One cycle">
      {STEPS.map(([step, how]) => (
        <li key={step}>
          <svg width="14" height="18" viewBox="0 0 14 18" aria-hidden focusable="false">
            <path d="M3 2l7 7-7 7" fill="none" stroke={theme.tube} strokeWidth="3" />
          </svg>
          <strong>{step}</strong>
          <small>{how}</small>
        </li>
      ))}
    </List>
  );
}
