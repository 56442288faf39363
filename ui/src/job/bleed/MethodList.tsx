import styled from "styled-components";
import type { Bleed, BleedSupposed, BleedVerdicts, Job } from "../../server/api";
import { Button } from "../../kit/Button";
import { Quiet, Row, TextButton } from "../../kit/layout";
import { Mark } from "../../kit/Mark";
import { SignedList } from "../../kit/SignedList";
import { useEntries } from "../useEntries";
import { MethodFigures } from "./MethodFigures";
import { rankSaid, VERDICTS, verdictSaid } from "./verdictSaid";

interface Props {
  job: Job;
  bleed: Bleed;
  supposed: BleedSupposed;
  verdicts: BleedVerdicts;
  /** The method that is drawn. */
  shown: string | undefined;
  onShow: (id: string) => void;
}

const Method = styled.li<{ $shown: boolean }>`
  display: grid;
  gap: 0.3rem;
  padding: 0.5rem 0.6rem;
  border-top: 1px solid ${(p) => p.theme.line};
  background: ${(p) => (p.$shown ? p.theme.sunk : "transparent")};
`;

/** Every method that may be used here, the best first, each with what decides it; then those that may not, and why. */
export function MethodList({ job, bleed, supposed, verdicts, shown, onShow }: Props) {
  const { add } = useEntries(job, "bleed");
  return (
    <div>
      <ul aria-label="Methods">
        {verdicts.methods.map((method) => (
          <Method key={method.id} $shown={method.id === shown}>
            <Row $gap={1}>
              <TextButton type="button" onClick={() => onShow(method.id)}>
                {method.label}
              </TextButton>
              <Mark kind={VERDICTS[method.verdict].kind}>{VERDICTS[method.verdict].word}</Mark>
              {method.id === (bleed.proposed?.id ?? verdicts.methods[0]?.id) ? (
                <Mark kind="quiet">proposed</Mark>
              ) : null}
              {method.aid ? <Mark kind="quiet">an aid</Mark> : null}
              {method.id === bleed.method.id && !bleed.proposed ? (
                <Mark kind="quiet">this job&apos;s</Mark>
              ) : null}
            </Row>
            {method.id === shown ? (
              <>
                <p>{verdictSaid(method, verdicts.changes)}</p>
                <Quiet>{method.why}</Quiet>
                <Quiet>{[handsSaid(method.people, method.minutes), ...rankSaid(method)].join(" ")}</Quiet>
                <Quiet>{`Not for: ${method.not_for}`}</Quiet>
                <p>{method.cycle.join(" → ")}</p>
                <SignedList lines={method.fails.map((text) => ({ kind: "warn", text }))} />
                <MethodFigures job={job} bleed={bleed} supposed={supposed} method={method.id} />
                {method.id !== bleed.method.id || bleed.proposed ? (
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

function handsSaid(people: number, minutes: number): string {
  return `${people === 1 ? "One pair of hands" : "Two pairs of hands"}, about ${minutes} min a point.`;
}
