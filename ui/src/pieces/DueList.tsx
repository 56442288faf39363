import { Link } from "react-router";
import styled from "styled-components";
import { Button } from "../kit/Button";
import { daySaid } from "../kit/format";
import { Mark } from "../kit/Mark";
import type { DueLine } from "../server/api";
import { useOpenJob } from "./useOpenJob";

interface Props {
  label: string;
  dues: DueLine[];
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

/** What falls due, soonest first; a re-check, or the job it asks for, is opened from here. */
export function DueList({ label, dues }: Props) {
  const open = useOpenJob();
  return (
    <ul aria-label={label}>
      {dues.map((due) => (
        <Line key={due.id}>
          <div>
            <Mark kind={due.overdue ? "stop" : "quiet"}>{daySaid(due.on)}</Mark>
            {due.machine && due.circuit ? (
              <Link to={`/machines/${due.machine.id}?circuit=${due.circuit.id}`}>
                {`${due.machine.name}: ${due.circuit.name}`}
              </Link>
            ) : null}
            <small>
              {[due.label, due.why, due.damaged ? "Its day is damaged" : undefined]
                .filter(Boolean)
                .join(". ")}
            </small>
          </div>
          {due.circuit ? (
            <Button
              aria-label={`${due.recheck ? "Start the re-check" : "Start a job"}: ${due.machine?.name ?? ""}, ${due.circuit.name}, ${due.label}`}
              isDisabled={open.isPending}
              onPress={() =>
                open.mutate({
                  circuitId: due.circuit?.id ?? "",
                  ...(due.recheck ? { follows: due.recheck, beside: true } : {}),
                })
              }
            >
              {due.recheck ? "Re-check" : "Start"}
            </Button>
          ) : null}
        </Line>
      ))}
    </ul>
  );
}
