import { Link, useNavigate } from "react-router";
import styled from "styled-components";
import type { Job, Measure } from "../../server/api";
import { useOutbox } from "../../server/useOutbox";
import { Button } from "../../kit/Button";
import { ReasonButton } from "../../kit/ReasonButton";
import { Panel, Quiet, Row } from "../../kit/layout";
import { Mark, Sign } from "../../kit/Mark";
import type { MarkKind } from "../../kit/Mark";
import { useEntries } from "../useEntries";

interface Props {
  job: Job;
  measure: Measure;
  isOpen: boolean;
}

type Verdict = NonNullable<Measure["verdict"]>;

const KINDS: Record<string, MarkKind> = {
  unit: "stop",
  open: "quiet",
  too_close: "warn",
  parts: "warn",
  reuse: "good",
};

const Word = styled.p<{ $kind: MarkKind }>`
  display: flex;
  align-items: center;
  gap: 0.8rem;
  font-size: 2.1rem;
  font-weight: 700;
  letter-spacing: -0.02em;
  line-height: 1.1;
  svg {
    flex: none;
    color: ${(p) => (p.$kind === "quiet" ? p.theme.quiet : p.theme[p.$kind])};
  }
`;

/** Reuse, renew or too close to call, with why and the way on; one after the other where several units are apart. */
export function VerdictPanel({ job, measure, isOpen }: Props) {
  const units = measure.units;
  if (!units)
    return measure.verdict ? <OneVerdict job={job} verdict={measure.verdict} isOpen={isOpen} /> : null;
  const at = units.find((each) => each.unit === measure.unit);
  return (
    <>
      <Panel>
        <Row $gap={1}>
          {units.map((each) => (
            <Mark key={each.label} kind={each.whole ? "warn" : (KINDS[each.verdict.id] ?? "quiet")}>
              {`${each.label}: ${each.whole ? "new one goes on" : each.verdict.label}`}
            </Mark>
          ))}
        </Row>
      </Panel>
      {at && !at.settled ? (
        <OneVerdict
          job={job}
          verdict={at.verdict}
          isOpen={isOpen}
          {...(at.unit ? { unit: at.unit } : {})}
          name={at.label}
          mayRenew={at.may_renew}
        />
      ) : null}
    </>
  );
}

interface OneProps {
  job: Job;
  verdict: Verdict;
  isOpen: boolean;
  /** Where several are apart: which one, what it is called, and whether it may be renewed without the others. */
  unit?: string;
  name?: string;
  mayRenew?: boolean;
}

function OneVerdict({ job, verdict, isOpen, unit, name, mayRenew }: OneProps) {
  const kind = KINDS[verdict.id] ?? "quiet";
  const shown = verdict.id === "open" ? verdict.reasons.slice(0, 2) : verdict.reasons;
  return (
    <Panel>
      <Word $kind={kind} role="status">
        <Sign kind={kind} size={36} />
        {name ? `${name}: ${verdict.label}` : verdict.label}
      </Word>
      <ul>
        {shown.map((reason) => (
          <li key={reason}>{reason}</li>
        ))}
      </ul>
      {verdict.id === "open" && verdict.reasons.length > shown.length ? (
        <Quiet>{`and ${verdict.reasons.length - shown.length} more to look at`}</Quiet>
      ) : null}
      {isOpen && verdict.id === "unit" && unit && mayRenew ? (
        <Whole job={job} unit={unit} name={name ?? unit} />
      ) : null}
      {isOpen && !mayRenew && verdict.next_route ? <Renew job={job} route={verdict.next_route} /> : null}
      {isOpen && verdict.id === "parts" ? <NewParts job={job} parts={verdict.parts} /> : null}
      {isOpen && verdict.id === "too_close" ? <Call job={job} {...(unit ? { unit } : {})} /> : null}
    </Panel>
  );
}

/** One of several is past use: a new one goes on in its place, the others are used again. */
function Whole({ job, unit, name }: { job: Job; unit: string; name: string }) {
  const { add } = useEntries(job, "measure");
  return (
    <Row>
      <Button tone="stop" onPress={() => add("whole", { unit })}>{`New one in place of: ${name}`}</Button>
      <Quiet>It joins the pull list. The others are used again.</Quiet>
    </Row>
  );
}

/** The part is past use: the route changes, and Choose opens again. */
function Renew({ job, route }: { job: Job; route: NonNullable<Verdict["next_route"]> }) {
  const outbox = useOutbox();
  const navigate = useNavigate();
  const renew = () => {
    outbox.add(job.id, { stage: "ask", kind: "route", data: { route: route.id } });
    void navigate(`/jobs/${job.id}/choose`);
  };
  return (
    <Row>
      <Button tone="stop" onPress={renew}>{`${route.label}: back to Choose`}</Button>
      <Quiet>Return the parts pulled for this job there; time and cost are recalculated.</Quiet>
    </Row>
  );
}

function NewParts({ job, parts }: { job: Job; parts: Verdict["parts"] }) {
  const { add } = useEntries(job, "measure");
  return (
    <Row $gap={1}>
      {parts.map((part) => (
        <Button key={part.id} tone="act" onPress={() => add("renewed", { part: part.id })}>
          {`New one on the bench: ${part.label}`}
        </Button>
      ))}
      <Link to={`/jobs/${job.id}/choose`}>See what the kit holds</Link>
    </Row>
  );
}

/** At the gauge's uncertainty the mechanic reads again, or says which way and why. */
function Call({ job, unit }: { job: Job; unit?: string }) {
  const { add } = useEntries(job, "measure");
  return (
    <>
      <Quiet>
        Let gauge and part reach room temperature, wipe both, measure again. Or decide, and say why.
      </Quiet>
      <Row $gap={1}>
        <ReasonButton
          button="Call it good"
          label="Why it is good enough"
          onReason={(reason) => add("called", { verdict: "reuse", reason, ...(unit ? { unit } : {}) })}
        />
        <ReasonButton
          button="Call it worn"
          label="Why it is worn"
          onReason={(reason) => add("called", { verdict: "renew", reason, ...(unit ? { unit } : {}) })}
        />
      </Row>
    </>
  );
}
