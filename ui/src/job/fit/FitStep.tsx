import { useState } from "react";
import { Button } from "../../kit/Button";
import { Headline, Quiet, Row } from "../../kit/layout";
import { Picker } from "../../kit/Picker";
import { TradeText } from "../../pieces/TradeText";
import { PartLines } from "../PartLines";
import { StepNotes } from "../StepNotes";
import { hasOwnLead, leadButton } from "../now/ownLead";
import { useEntries } from "../useEntries";
import { useStepKeys } from "../useStepKeys";
import { UndoButton } from "../UndoButton";
import { useUndo } from "../useUndo";
import type { FitProps } from "./fitProps";

/** The one thing to do now, in the order of the fitting: one key a step. */
export function FitStep({ job, fit, isOpen }: FitProps) {
  const { add } = useEntries(job, "fit");
  const undo = useUndo(job, "fit", fit.recent);
  const step = fit.steps.find((each) => each.id === fit.current);
  const asked = fit.parts.find((part) => part.question && !part.right);
  const isReady = isOpen && step !== undefined && !asked && !fit.unready && !fit.clash;
  const done = () => {
    if (step) add("step", { step: step.id });
  };
  const face = (part: string, faces: string) => add("facing", { part, faces });
  const isLed = hasOwnLead("fit", fit.now?.[0]);
  useStepKeys({ isOpen: isOpen && isLed, isReady, asked, onDone: done, onFace: face });
  const ofPhase = fit.steps.filter((each) => each.when === fit.phase);
  const passed = ofPhase.filter((each) => each.status === "done").length;
  const next = ofPhase.filter((each) => each.status === "ahead");
  return (
    <>
      <Quiet>
        {step
          ? `${phaseSaid(fit)}Step ${passed + 1} of ${ofPhase.length}`
          : `${phaseSaid(fit)}${passed} steps done`}
      </Quiet>
      <Headline data-figure="step">
        {step?.label ??
          (fit.ready && fit.phase === "before" ? "Ready for what comes next." : "Every step is done.")}
      </Headline>
      {step?.does ? (
        <p>
          <TradeText>{step.does}</TradeText>
        </p>
      ) : null}
      {fit.parts.length > 0 ? (
        <PartLines parts={fit.parts} asked={asked} onFace={isOpen ? face : undefined} />
      ) : null}
      <StepNotes notes={fit.notes} />
      {isOpen ? (
        <Row $gap={1}>
          {step ? (
            <Button {...leadButton(isLed)} isDisabled={!isReady} onPress={done}>
              {step.trial ? "It fits, nothing clashes" : "Done"}
            </Button>
          ) : null}
          <UndoButton undo={undo} />
        </Row>
      ) : null}
      {next.length > 0 ? <Quiet>{`Then: ${next.map((each) => each.label).join("; ")}.`}</Quiet> : null}
      {isOpen && fit.clashes.length > 0 && !fit.clash ? <ClashButton job={job} fit={fit} /> : null}
    </>
  );
}

function phaseSaid({ bleeds, phase }: FitProps["fit"]): string {
  if (!bleeds) return "";
  return phase === "before" ? "Before the bleed. " : "After the bleed. ";
}

/** A clash goes back to Choose by its name, and holds the rest. */
function ClashButton({ job, fit }: Pick<FitProps, "job" | "fit">) {
  const { add } = useEntries(job, "fit");
  const [clash, setClash] = useState("");
  return (
    <Row>
      <Picker
        label="Something clashes"
        options={[{ id: "", label: "nothing" }, ...fit.clashes]}
        value={clash}
        onChange={setClash}
      />
      {clash ? (
        <Button tone="stop" onPress={() => add("clash", { clash })}>
          Back to Choose with it
        </Button>
      ) : null}
    </Row>
  );
}
