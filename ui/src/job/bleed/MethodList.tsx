import styled from "styled-components";
import type { BleedVerdict, BleedVerdicts, Job } from "../../server/api";
import { Button } from "../../kit/Button";
import { Quiet, Row, TextButton } from "../../kit/layout";
import { Mark } from "../../kit/Mark";
import type { MarkKind } from "../../kit/Mark";
import { SignedList } from "../../kit/SignedList";
import { useEntries } from "../useEntries";

interface Props {
  job: Job;
  verdicts: BleedVerdicts;
  /** The method the job goes by, and the one that is drawn. */
  chosen: string;
  shown: string | undefined;
  isOpen: boolean;
  onShow: (id: string) => void;
}

const Method = styled.li<{ $shown: boolean }>`
  display: grid;
  gap: 0.3rem;
  padding: 0.5rem 0.6rem;
  border-top: 1px solid ${(p) => p.theme.line};
  background: ${(p) => (p.$shown ? p.theme.sunk : "transparent")};
`;

const KINDS: Record<BleedVerdict["verdict"], MarkKind> = {
  suitable: "good",
  workable: "warn",
  leaves_air: "stop",
};

/** Every method that may be used here, the best first, each with what decides it; then those that may not, and why. */
export function MethodList({ job, verdicts, chosen, shown, isOpen, onShow }: Props) {
  const { add } = useEntries(job, "choose");
  return (
    <div>
      <ul aria-label="Methods">
        {verdicts.methods.map((method) => (
          <Method key={method.id} $shown={method.id === shown}>
            <Row $gap={1}>
              <TextButton type="button" onClick={() => onShow(method.id)}>
                {method.label}
              </TextButton>
              <Mark kind={KINDS[method.verdict]}>{word(method)}</Mark>
              {method.aid ? <Mark kind="quiet">an aid</Mark> : null}
              {method.id === chosen ? <Mark kind="quiet">this job's</Mark> : null}
            </Row>
            {method.id === shown ? (
              <>
                <p>{said(method, verdicts.changes)}</p>
                <Quiet>{method.why}</Quiet>
                <Quiet>{`${method.people === 1 ? "One pair of hands" : "Two pairs of hands"}, about ${method.minutes} min a point. Not for: ${method.not_for}`}</Quiet>
                <p>{method.cycle.join(" → ")}</p>
                <SignedList lines={method.fails.map((text) => ({ kind: "warn", text }))} />
                {isOpen && method.id !== chosen ? (
                  <div>
                    <Button tone="act" onPress={() => add("method", { method: method.id })}>
                      Bleed this way
                    </Button>
                  </div>
                ) : null}
              </>
            ) : null}
          </Method>
        ))}
      </ul>
      <details>
        <summary>Not used here</summary>
        <SignedList
          lines={verdicts.barred.map((each) => ({ kind: "stop", text: `${each.label}: ${each.why}` }))}
        />
      </details>
    </div>
  );
}

function word(method: BleedVerdict): string {
  return { suitable: "carries it out", workable: "works if", leaves_air: "leaves air" }[method.verdict];
}

function said(method: BleedVerdict, changes: BleedVerdicts["changes"]): string {
  if (method.verdict === "suitable") return "It carries the air of this line out.";
  const place = method.place ? `Air stays at: ${method.place}.` : "Air stays.";
  if (method.verdict === "leaves_air") return place;
  const ways = method.changes.map((change) => changes[change] ?? change);
  return `${place} It works with ${ways.join(method.together ? " and " : ", or ")}.`;
}
