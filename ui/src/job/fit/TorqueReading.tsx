import { useMutation } from "@tanstack/react-query";
import { useRef, useState } from "react";
import type { FormEvent } from "react";
import { Input, Label, TextField } from "react-aria-components";
import styled from "styled-components";
import type { TorqueLine } from "../../server/api";
import { answer, client } from "../../server/client";
import { useUnits } from "../../server/useUnits";
import { PlaceMap } from "../../drawings/PlaceMap";
import { Button } from "../../kit/Button";
import { Choice } from "../../kit/Choice";
import { InputBox } from "../../kit/EntryField";
import { Big, Quiet, Row } from "../../kit/layout";
import { Notice } from "../../kit/Notice";
import { useHotkeys } from "../../kit/useHotkeys";
import { leaveOnEscape } from "../leaveOnEscape";
import { ReadingLine } from "../ReadingLine";
import { OnTrainingMachine } from "../OnTrainingMachine";
import { useEntries } from "../useEntries";
import type { FitProps } from "./fitProps";
import { ServiceFigure } from "./ServiceFigure";
import { WrenchFields } from "./WrenchFields";

interface Props extends Pick<FitProps, "job" | "fit"> {
  line: TorqueLine;
  onTaken: () => void;
}

const Frame = styled.div`
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
  gap: 1.5rem;
  padding: 1rem;
  border-radius: 0.5rem;
  background: ${(p) => p.theme.sunk};
  @media (max-width: 60rem) {
    grid-template-columns: minmax(0, 1fr);
  }
  > div {
    display: grid;
    gap: 0.6rem;
    align-content: start;
  }
`;

/** The fastener at hand: what to set, with what wrench, and what it came to. */
export function TorqueReading({ job, fit, line, onTaken }: Props) {
  const { add } = useEntries(job, "fit");
  const range = line.range;
  return (
    <Frame>
      <div>
        <h3 data-figure="fastener">{line.label}</h3>
        {range ? <Aim range={range} setNm={line.set_nm} /> : null}
        {line.place && fit.places ? <PlaceMap places={fit.places} candidates={[]} at={[line.place]} /> : null}
        {range && line.note && line.note !== line.label ? <Quiet>{line.note}</Quiet> : null}
        {line.verdict === "over" || line.verdict === "under" ? (
          <Notice tone="stop" live>
            <strong>{line.verdict === "over" ? "Over the range." : "Under the range."}</strong>{" "}
            {line.over ?? "Tighten it to its figure and read again."}
          </Notice>
        ) : null}
      </div>
      <div>
        {line.asks ? (
          <Choice
            label={sentence(line.asks.question)}
            options={line.asks.options.map((id) => ({ id, label: id }))}
            value={undefined}
            onChange={(value) => {
              if (line.asks) add("fact", { part: line.asks.part, field: line.asks.field, value });
            }}
          />
        ) : null}
        {range ? <Take job={job} fit={fit} line={line} onTaken={onTaken} /> : null}
        {line.asks ? null : <ServiceFigure job={job} line={line} />}
      </div>
    </Frame>
  );
}

/** What it is tightened to, and what the wrench is set to where a crow's foot on it changes that. */
function Aim({ range, setNm }: { range: NonNullable<TorqueLine["range"]>; setNm: number | undefined }) {
  const units = useUnits();
  return (
    <>
      <Big $size="2.6rem" data-figure="aim">
        {units.bare("torque", range.aim_nm, 1)}
        <small>{` ${units.unit("torque")}`}</small>
      </Big>
      <p>{range.units.join(" · ")}</p>
      {setNm === undefined ? null : (
        <p>
          <strong>{`Set the wrench to ${units.say("torque", setNm, 1)}: the crow's foot in line adds the rest.`}</strong>
        </p>
      )}
      <Quiet>
        {range.source === "service_info"
          ? "From the machine's service information."
          : "Trade default, not a specification: used only where the service information is not found."}
      </Quiet>
    </>
  );
}

function Take({ job, fit, line, onTaken }: Props) {
  const { add } = useEntries(job, "fit");
  const units = useUnits();
  const field = useRef<HTMLInputElement>(null);
  const [value, setValue] = useState("");
  const [turn, setTurn] = useState(0);
  useHotkeys({ t: () => field.current?.focus() });
  const simulated = useMutation({
    mutationFn: () =>
      answer(
        client.POST("/compute/instrument-readings", {
          body: { instrument: "torque_wrench", sheet: fit.sheet, seed: job.circuit.id, turn, place: line.id },
        }),
      ),
    onSuccess: (reading) => {
      setTurn(turn + 1);
      add("torque", {
        fastener: line.id,
        value: reading.value,
        instrument: `simulated ${reading.instrument}`,
      });
      onTaken();
    },
  });
  const take = (event: FormEvent) => {
    event.preventDefault();
    if (value.trim() === "") return;
    add("torque", { fastener: line.id, value: units.typed("torque", value) });
    onTaken();
  };
  return (
    <>
      <WrenchFields job={job} wrench={fit.wrench} />
      {simulated.isError ? <Notice tone="warn">{simulated.error.message}</Notice> : null}
      <ReadingLine onSubmit={take}>
        <TextField name="torque" value={value} onChange={setValue} isDisabled={!fit.wrench}>
          <Label>{`Torque read: ${line.label}`}</Label>
          <InputBox>
            <Input ref={field} inputMode="decimal" autoComplete="off" onKeyDown={leaveOnEscape} />
            <span>{units.unit("torque")}</span>
          </InputBox>
        </TextField>
        <Button tone="act" type="submit" hotkey="T" isDisabled={!fit.wrench}>
          Take reading
        </Button>
      </ReadingLine>
      <Row $gap={1}>
        <OnTrainingMachine job={job}>
          <Button isDisabled={!fit.wrench || simulated.isPending} onPress={() => simulated.mutate()}>
            Read the simulated wrench
          </Button>
        </OnTrainingMachine>
        {line.snug ? (
          <Button
            onPress={() => {
              add("snug", { fastener: line.id });
              onTaken();
            }}
          >
            Snug, by hand
          </Button>
        ) : null}
        {line.turns ? (
          <Button
            onPress={() => {
              add("estimate", { fastener: line.id });
              onTaken();
            }}
          >
            No wrench can reach
          </Button>
        ) : null}
      </Row>
      {line.snug ? <Quiet>{`Where no wrench reads so little: ${line.snug}.`}</Quiet> : null}
      {line.turns ? (
        <Quiet>{`Where no wrench can reach: ${line.turns}. Recorded as an estimate: the lead looks at it, and a re-check is booked.`}</Quiet>
      ) : null}
    </>
  );
}

function sentence(text: string): string {
  return text.charAt(0).toUpperCase() + text.slice(1);
}
