import { Link } from "react-router";
import styled from "styled-components";
import { Button } from "../kit/Button";
import { daySaid } from "../kit/format";
import { Row } from "../kit/layout";
import { Mark } from "../kit/Mark";
import { wantedSaid } from "./dueGroups";
import type { DueGroup } from "./dueGroups";
import { useOpenJob } from "./useOpenJob";

interface Props {
  label: string;
  groups: DueGroup[];
}

const Line = styled.li`
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  gap: 0.2rem 0.9rem;
  align-items: center;
  padding: 0.5rem 0;
  border-top: 1px solid ${(p) => p.theme.line};
  a {
    display: block;
  }
  small {
    display: block;
    color: ${(p) => p.theme.quiet};
    font-size: 0.95rem;
  }
`;

/** What falls due, one line a circuit, soonest first; a re-check, or a job for all that it wants, is opened from here. */
export function DueList({ label, groups }: Props) {
  const open = useOpenJob();
  return (
    <ul aria-label={label}>
      {groups.map((group) => {
        const { machine, circuit } = group;
        const recheck = group.lines.find((line) => line.recheck)?.recheck;
        const isOnlyRecheck = recheck !== undefined && group.lines.every((line) => line.recheck);
        const where = machine && circuit ? `${machine.name}, ${circuit.name}` : "";
        return (
          <Line key={group.id}>
            <div>
              <Mark kind={group.overdue ? "stop" : "quiet"}>{daySaid(group.on)}</Mark>
              {machine && circuit ? (
                <Link
                  to={`/machines/${machine.id}?circuit=${circuit.id}`}
                >{`${machine.name}: ${circuit.name}`}</Link>
              ) : null}
              <small>{wantedSaid(group)}</small>
            </div>
            {circuit ? (
              <Row $gap={0.5}>
                {recheck ? (
                  <Button
                    aria-label={`Start the re-check: ${where}`}
                    isDisabled={open.isPending}
                    onPress={() => open.mutate({ circuitId: circuit.id, follows: recheck, beside: true })}
                  >
                    Re-check
                  </Button>
                ) : null}
                {isOnlyRecheck ? null : (
                  <Button
                    aria-label={`Start a job: ${where}, ${wantedSaid(group)}`}
                    isDisabled={open.isPending}
                    onPress={() => open.mutate({ circuitId: circuit.id })}
                  >
                    Start
                  </Button>
                )}
              </Row>
            ) : null}
          </Line>
        );
      })}
    </ul>
  );
}
