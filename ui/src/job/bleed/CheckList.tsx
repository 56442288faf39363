import type { Bleed, Job } from "../../server/api";
import { Quiet } from "../../kit/layout";
import { Answers, AskedList } from "../Answers";
import { StepClock } from "../StepClock";
import { useEntries } from "../useEntries";

interface Props {
  job: Job;
  label: string;
  checks: Bleed["checks"]["start"];
  isOpen: boolean;
}

/** Looks that each want an answer: the good one lets the work go on. */
export function CheckList({ job, label, checks, isOpen }: Props) {
  const { add } = useEntries(job, "bleed");
  return (
    <AskedList aria-label={label}>
      {checks.map((check) => (
        <li key={check.id}>
          <strong>{check.label}</strong>
          {check.seconds && !check.good ? <StepClock seconds={check.seconds} label={check.label} /> : null}
          <Answers
            asked={check}
            isOpen={isOpen}
            onAnswer={(value) => add("check", { check: check.id, value })}
          />
          {check.good ? null : check.answer ? <p>{check.does}</p> : <Quiet>{check.does}</Quiet>}
        </li>
      ))}
    </AskedList>
  );
}
