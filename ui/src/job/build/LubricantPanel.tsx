import styled from "styled-components";
import type { Build, Job } from "../../app/api";
import { Choice } from "../../kit/Choice";
import { Panel } from "../../kit/layout";
import { Sign } from "../../kit/Mark";
import { useEntries } from "../useEntries";

interface Props {
  job: Job;
  build: Build;
  isOpen: boolean;
}

const Barred = styled.ul`
  display: grid;
  gap: 0.3rem;
  li {
    display: grid;
    grid-template-columns: 1.4rem minmax(0, 1fr);
    gap: 0.5rem;
  }
  svg {
    margin-top: 0.25rem;
    color: ${(p) => p.theme.stop};
  }
`;

/** What cups and bore are wetted with: two schools, within what fluid and rubber bear. */
export function LubricantPanel({ job, build, isOpen }: Props) {
  const { add } = useEntries(job, "build");
  const allowed = build.lubricants.filter((each) => each.allowed);
  const barred = build.lubricants.filter((each) => !each.allowed);
  return (
    <Panel>
      <h2>Lubricant</h2>
      {isOpen ? (
        <Choice
          label="On cups, bore and piston"
          hint="The circuit's own fluid always does. A thin film of grease only where the kit's maker allows it."
          options={allowed.map(({ id, label, says }) => ({
            id,
            label: says === "suited" ? label : `${label}: ${says}`,
          }))}
          value={build.lubricant}
          onChange={(lubricant) => add("lubricant", { lubricant })}
        />
      ) : (
        <p>{build.lubricants.find((each) => each.id === build.lubricant)?.label}</p>
      )}
      <details>
        <summary>Not on these seals</summary>
        <Barred>
          {barred.map((each) => (
            <li key={each.id}>
              <Sign kind="stop" />
              <span>{`${each.label}: ${each.says}`}</span>
            </li>
          ))}
        </Barred>
      </details>
    </Panel>
  );
}
