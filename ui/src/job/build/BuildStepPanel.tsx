import { Link } from "react-router";
import type { Build, BuildPart, Job } from "../../server/api";
import { Button } from "../../kit/Button";
import { Headline, Quiet, Row } from "../../kit/layout";
import { Notice } from "../../kit/Notice";
import { TradeText } from "../../pieces/TradeText";
import { PartLines } from "../PartLines";
import { StepClock } from "../StepClock";
import { StepNotes } from "../StepNotes";
import { useEntries } from "../useEntries";
import { useStepKeys } from "../useStepKeys";
import { UndoButton } from "../UndoButton";
import { useUndo } from "../useUndo";

interface Props {
  job: Job;
  build: Build;
  isOpen: boolean;
}

/** The one thing to do now: which parts go in, wetted with what, facing which way. */
export function BuildStepPanel({ job, build, isOpen }: Props) {
  const { add } = useEntries(job, "build");
  const undo = useUndo(job, "build", build.recent);
  const step = build.steps.find((each) => each.id === build.current);
  const asked = step?.parts.find((part) => part.question && !part.right);
  const isMeasured = build.measured;
  const first = build.checks.find((check) => check.before && !check.pass);
  const isReady = isOpen && isMeasured && step !== undefined && (first !== undefined || asked === undefined);
  const put = () => {
    if (first) add("check", { check: first.id, pass: true });
    else if (step) add("step", { step: step.id });
  };
  const face = (part: string, faces: string) => add("facing", { part, faces });
  useStepKeys({ isOpen, isReady, asked: first ? undefined : asked, onDone: put, onFace: face });
  const done = build.steps.filter((each) => each.status === "done").length;
  if (build.steps.length === 0) return <Quiet>Nothing has been stripped yet.</Quiet>;
  if (!step)
    return (
      <>
        <Headline>Everything is fitted.</Headline>
        <Quiet>{`${done} steps. Now the scrap pot, the tray and the checks.`}</Quiet>
        <div>{isOpen ? <UndoButton undo={undo} /> : null}</div>
      </>
    );
  if (first && isMeasured)
    return (
      <>
        <Quiet>Before the first part goes in</Quiet>
        <Headline data-figure="first">{first.label}</Headline>
        <p>
          <TradeText>{first.how}</TradeText>
        </p>
        {first.seconds ? <StepClock key={first.id} seconds={first.seconds} label={first.label} /> : null}
        {isOpen ? (
          <Row $gap={1}>
            <Button tone="act" hotkey="Space" onPress={put}>
              Done
            </Button>
            <UndoButton undo={undo} />
          </Row>
        ) : null}
      </>
    );
  return (
    <>
      <Quiet>{`Step ${done + 1} of ${build.steps.length}, last out first in`}</Quiet>
      <Headline data-figure="step">{named(step.parts)}</Headline>
      <PartLines parts={step.parts} asked={asked} onFace={isOpen ? face : undefined} />
      <StepNotes notes={step.notes} />
      {isMeasured ? null : (
        <Notice tone="warn">
          {"Measure has no verdict yet. "}
          <Link to={`/jobs/${job.id}/measure`}>Reuse or renew?</Link>
        </Notice>
      )}
      {isOpen ? (
        <Row $gap={1}>
          <Button tone="act" hotkey="Space" isDisabled={!isReady} onPress={put}>
            Fitted
          </Button>
          <UndoButton undo={undo} />
        </Row>
      ) : null}
    </>
  );
}

function named(parts: BuildPart[]): string {
  return parts.map((part) => part.label).join(", ");
}
