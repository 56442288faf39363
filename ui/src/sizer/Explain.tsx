import { useQuery } from "@tanstack/react-query";
import styled from "styled-components";
import type { Candidate, Explanation, Sheet } from "../server/api";
import { explanationQuery } from "../server/queries";
import { useUnits } from "../server/useUnits";
import { figure } from "../kit/format";
import { asDimension } from "../kit/units";
import type { Units } from "../kit/units";
import { SOURCES } from "../words/partNames";

const List = styled.div`
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(15.5rem, 1fr));
  gap: 0.4rem;
  details {
    border-radius: 0.4rem;
    background: ${(p) => p.theme.sunk};
  }
  details[open] {
    grid-column: 1 / -1;
  }
  summary {
    min-height: 3rem;
    display: flex;
    align-items: center;
    justify-content: space-between;
    gap: 0.8rem;
    padding: 0 0.8rem;
    cursor: pointer;
  }
  summary b {
    white-space: nowrap;
    text-decoration: underline dotted;
    text-underline-offset: 0.25em;
  }
  div {
    padding: 0 0.8rem 0.8rem;
  }
  code {
    display: block;
    font:
      500 1rem/1.5 "Atkinson Hyperlegible Mono Variable",
      monospace;
    overflow-wrap: anywhere;
  }
  li {
    color: ${(p) => p.theme.quiet};
  }
`;

const UNIT_DIMENSION: Record<string, string> = { mm: "length", mL: "volume", MPa: "pressure" };

/** Every figure opens to its formula, the values in it, and where each came from. */
export function Explain({ sheet, candidate }: { sheet: Sheet; candidate: Candidate }) {
  const units = useUnits();
  const { data } = useQuery(explanationQuery(sheet, candidate));
  return (
    <List>
      {data?.items.map((item) => (
        <details key={item.id}>
          <summary>
            {item.label} <b>{said(item, units)}</b>
          </summary>
          <div>
            <code>{item.formula}</code>
            <code>
              = {item.filled} = {figure(item.value, 3)} {item.unit}
            </code>
            <ul>
              {item.from.map((value) => (
                <li key={value.label}>
                  {value.label}: {value.value} {value.unit}, {SOURCES[value.source] ?? value.source}
                </li>
              ))}
            </ul>
          </div>
        </details>
      ))}
    </List>
  );
}

function said(item: Explanation["items"][number], units: Units): string {
  const dimension = asDimension(UNIT_DIMENSION[item.unit]);
  if (dimension) return units.say(dimension, item.value, 2);
  return `${figure(item.value, item.unit === "N" ? 1 : 2)} ${item.unit}`.trim();
}
