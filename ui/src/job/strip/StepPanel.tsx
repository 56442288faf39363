import styled from "styled-components";
import type { Job, Strip, StripStep } from "../../server/api";
import { Button } from "../../kit/Button";
import { Headline, Quiet, Row } from "../../kit/layout";
import { ReasonButton } from "../../kit/ReasonButton";
import { Sign } from "../../kit/Mark";
import { useHotkeys } from "../../kit/useHotkeys";
import { AskedPhoto } from "../photos/AskedPhoto";
import { TradeText } from "../../pieces/TradeText";
import { hasOwnLead, leadButton } from "../now/ownLead";
import { useEntries } from "../useEntries";
import { UndoButton } from "../UndoButton";
import { useUndo } from "../useUndo";
import { Stepper } from "../Stepper";

interface Props {
  job: Job;
  strip: Strip;
  isOpen: boolean;
}

const Hazards = styled.ul`
  display: grid;
  gap: 0.4rem;
  li {
    display: grid;
    grid-template-columns: 1.5rem 5.5rem minmax(0, 1fr);
    gap: 0.6rem;
    align-items: center;
    padding: 0.45rem 0.7rem;
    border-radius: 0.4rem;
    background: ${(p) => p.theme.warnSoft};
  }
  svg {
    color: ${(p) => p.theme.warn};
  }
`;

const Parts = styled.ul`
  display: grid;
  li {
    display: grid;
    grid-template-columns: minmax(0, 1fr) auto;
    gap: 0.8rem;
    align-items: center;
    min-height: 3.4rem;
    border-top: 1px solid ${(p) => p.theme.line};
  }
`;

/** The one thing to do now: what, with which tool, what flies, leaks or gets lost, and what lands in the tray. */
export function StepPanel({ job, strip, isOpen }: Props) {
  const { add } = useEntries(job, "strip");
  const undo = useUndo(job, "strip", strip.recent);
  const step = strip.steps.find((each) => each.id === strip.current);
  const isReady = isOpen && strip.ready && step !== undefined;
  const take = () => {
    if (step) add("step", { step: step.id });
  };
  const isLed = hasOwnLead("strip", strip.now?.[0]);
  useHotkeys(isOpen && isLed ? { " ": isReady ? take : undefined } : {});
  const done = strip.steps.filter((each) => each.status === "done" || each.status === "skipped").length;
  if (!step)
    return (
      <>
        <Headline>All of it is out.</Headline>
        <Quiet>{`${done} steps, ${strip.pieces} pieces.`}</Quiet>
        <div>{isOpen ? <UndoButton undo={undo} /> : null}</div>
      </>
    );
  return (
    <>
      <Quiet>{`Step ${done + 1} of ${strip.steps.length}`}</Quiet>
      <Headline data-figure="step">{step.label}</Headline>
      {step.does ? (
        <p>
          <TradeText>{step.does}</TradeText>
        </p>
      ) : null}
      <Quiet>{`With: ${step.tools.join(", ")}`}</Quiet>
      <StepHazards step={step} />
      {step.takes.length > 0 ? (
        <Parts aria-label="Comes out">
          {step.takes.map((part) => (
            <li key={part.id}>
              <span>
                <strong>{part.label}</strong>
                <Quiet>
                  {part.renewed ? "single use: the old one to the scrap pot" : "into the tray"}
                  {part.feature ? `. Photo before it moves: ${part.feature}.` : "."}
                </Quiet>
              </span>
              <Stepper
                label={part.label}
                value={part.count}
                {...(isReady
                  ? { onChange: (count: number) => add("counted", { part: part.id, count }) }
                  : {})}
              />
            </li>
          ))}
        </Parts>
      ) : null}
      {isOpen && isLed ? <AskedPhoto job={job} stage="strip" what={strip.now?.[0]?.photo} /> : null}
      {step.caution ? <Quiet>{step.caution}</Quiet> : null}
      {isOpen ? (
        <Row $gap={1}>
          <Button {...leadButton(isLed)} isDisabled={!isReady} onPress={take}>
            {step.takes.length > 0 ? "Out and counted" : "Done"}
          </Button>
          <ReasonButton
            key={step.id}
            button="Skip this step"
            label={`Why it is skipped: ${step.label}`}
            isDisabled={!isReady}
            onReason={(reason) => add("skipped", { step: step.id, reason })}
          />
          <UndoButton undo={undo} />
        </Row>
      ) : null}
      {strip.ready ? null : <Quiet>Bench and set-up come first.</Quiet>}
    </>
  );
}

function StepHazards({ step }: { step: StripStep }) {
  const hazards = [
    ["Flies", step.flies],
    ["Leaks", step.leaks],
    ["Watch out", step.lost],
  ].filter((hazard): hazard is [string, string] => hazard[1] !== undefined);
  if (hazards.length === 0) return null;
  return (
    <Hazards>
      {hazards.map(([word, text]) => (
        <li key={word}>
          <Sign kind="warn" size={20} />
          <strong>{word}</strong>
          <span>
            <TradeText>{text}</TradeText>
          </span>
        </li>
      ))}
    </Hazards>
  );
}
