import { useMutation } from "@tanstack/react-query";
import type { Fit } from "../../server/api";
import { answer, client } from "../../server/client";
import { useUnits } from "../../server/useUnits";
import { Button } from "../../kit/Button";
import { EntryField } from "../../kit/EntryField";
import { Quiet, Row } from "../../kit/layout";
import { Mark } from "../../kit/Mark";
import { Notice } from "../../kit/Notice";
import { OnTrainingMachine } from "../OnTrainingMachine";
import { useEntries } from "../useEntries";
import type { FitProps } from "./fitProps";
import { FitRoom } from "./FitRoom";

const STATES = ["rest", "pulled"] as const;

type State = (typeof STATES)[number];

/** Closed when the control is worked, open at rest, the lamp on before the brake bites. */
export function SwitchPanel({ job, fit, isOpen }: FitProps) {
  const { add } = useEntries(job, "fit");
  const units = useUnits();
  const electrics = fit.electrics;
  if (!electrics) return null;
  const lampIsOn = electrics.lamp_mm !== undefined;
  return (
    <FitRoom fit={fit} id="switch" title="Switch">
      {STATES.map((state) => (
        <Contact key={state} job={job} fit={fit} electrics={electrics} state={state} isOpen={isOpen} />
      ))}
      {electrics.lamp_wanted ? (
        <>
          <Quiet>{`The brake bites at about ${units.say("length", electrics.bite_mm, 1)} of travel, by this circuit's own figures.`}</Quiet>
          {electrics.lamp_good === false ? (
            <Notice tone="stop">
              The lamp comes on after the brake bites: move the switch, then read it again.
            </Notice>
          ) : null}
          {electrics.lamp_good ? (
            <Mark kind="good">{electrics.no_lamp ? "no lamp on this machine" : "lamp before the bite"}</Mark>
          ) : null}
          {electrics.lamp_later && !electrics.no_lamp ? (
            <Quiet>Where the lamp comes on is read after the bleed: a dry brake does not bite.</Quiet>
          ) : null}
          {isOpen ? (
            <Row>
              {electrics.lamp_later ? null : (
                <EntryField
                  key={electrics.lamp_mm ?? "none"}
                  name="lamp"
                  label="Travel at which the lamp comes on"
                  inputMode="decimal"
                  unit={units.unit("length")}
                  value={electrics.lamp_mm === undefined ? "" : units.bare("length", electrics.lamp_mm, 1)}
                  onFinish={(text) => add("lamp", { travel: units.typed("length", text) })}
                />
              )}
              {lampIsOn || electrics.no_lamp ? null : (
                <Button onPress={() => add("lamp", { none: true })}>There is no lamp</Button>
              )}
            </Row>
          ) : null}
        </>
      ) : null}
    </FitRoom>
  );
}

interface ContactProps extends FitProps {
  electrics: NonNullable<Fit["electrics"]>;
  state: State;
}

function Contact({ job, fit, electrics, state, isOpen }: ContactProps) {
  const { add } = useEntries(job, "fit");
  const read = electrics[state];
  const where = state === "rest" ? "at rest" : electrics.pressed;
  const simulated = useMutation({
    mutationFn: () =>
      answer(
        client.POST("/compute/instrument-readings", {
          body: {
            instrument: "continuity_meter",
            sheet: fit.sheet,
            seed: job.circuit.id,
            turn: 0,
            place: state,
          },
        }),
      ),
    onSuccess: (reading) =>
      add("ohms", { state, ohms: reading.value, instrument: `simulated ${reading.instrument}` }),
  });
  return (
    <>
      <Row>
        <strong>{`Contact ${where}`}</strong>
        {read.good === undefined ? null : (
          <Mark kind={read.good ? "good" : "stop"}>{`${said(read)}: ${read.good ? "right" : "wrong"}`}</Mark>
        )}
      </Row>
      {isOpen ? (
        <Row $gap={1}>
          <EntryField
            key={`${read.ohms ?? ""}${read.open ?? ""}`}
            label={`Ohms ${where}`}
            inputMode="decimal"
            unit="Ω"
            value={read.ohms === undefined ? "" : String(read.ohms)}
            onFinish={(ohms) => add("ohms", { state, ohms })}
          />
          <Button
            aria-label={`Open, no contact: ${where}`}
            onPress={() => add("ohms", { state, open: true })}
          >
            Open
          </Button>
          <OnTrainingMachine job={job}>
            <Button
              aria-label={`Read the simulated meter: ${where}`}
              isDisabled={simulated.isPending}
              onPress={() => simulated.mutate()}
            >
              Simulated meter
            </Button>
          </OnTrainingMachine>
        </Row>
      ) : null}
    </>
  );
}

function said({ ohms, open }: { ohms?: number; open?: boolean }): string {
  if (open || ohms === undefined) return "open";
  return ohms >= 1000 ? `${Math.round(ohms / 1000)} kΩ` : `${ohms} Ω`;
}
