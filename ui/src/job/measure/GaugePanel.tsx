import { useMutation } from "@tanstack/react-query";
import { useRef, useState } from "react";
import type { FormEvent } from "react";
import { Input, Label, TextField } from "react-aria-components";
import type { Job, Measure } from "../../server/api";
import { answer, client } from "../../server/client";
import { useUnits } from "../../server/useUnits";
import { WearDrawing } from "../../drawings/WearDrawing";
import { Button } from "../../kit/Button";
import { Choice } from "../../kit/Choice";
import { EntryField, InputBox } from "../../kit/EntryField";
import { Column, Quiet, Row, Split, TextButton } from "../../kit/layout";
import { Table } from "../../kit/Table";
import { Notice } from "../../kit/Notice";
import { ReasonButton } from "../../kit/ReasonButton";
import { useHotkeys } from "../../kit/useHotkeys";
import { leaveOnEscape } from "../leaveOnEscape";
import { ReadingLine } from "../ReadingLine";
import { OnTrainingMachine } from "../OnTrainingMachine";
import { useEntries } from "../useEntries";
import { LimitsPanel } from "./LimitsPanel";

interface Props {
  job: Job;
  measure: Measure;
  isOpen: boolean;
}

/** Three depths and two lands, two directions each: typed, or off the simulated gauge; the field walks on by itself. */
export function GaugePanel({ job, measure, isOpen }: Props) {
  const units = useUnits();
  const [again, setAgain] = useState<string>();
  const places = measure.places ?? [];
  const atHand = (measure.judgements ?? []).filter(
    (judgement) => judgement.unit === measure.unit && judgement.size_mm === measure.size_mm,
  );
  return (
    <>
      {measure.unproven ? (
        <Notice tone="warn">{`No limit applies to a nominal that is not proven: ${measure.unproven}`}</Notice>
      ) : null}
      {isOpen && !measure.by_eye ? (
        <Reading job={job} measure={measure} again={again} onTaken={() => setAgain(undefined)} />
      ) : null}
      {measure.by_eye ? <Notice tone="warn">Judged by eye: an estimate, and recorded as one.</Notice> : null}
      <Split>
        <Column>
          {atHand.length > 0 && measure.limits ? (
            <WearDrawing judgements={atHand} limits={measure.limits} />
          ) : null}
          {measure.taper_mm === undefined ? null : (
            <Quiet>{`Taper of the bore: ${units.say("length", measure.taper_mm, 3)} between the means of its depths.`}</Quiet>
          )}
        </Column>
        <Table aria-label="Gauge readings">
          <tbody>
            {places.map((place) => (
              <tr key={place.id}>
                <td>
                  {isOpen && place.value_mm !== undefined ? (
                    <TextButton
                      type="button"
                      aria-label={`Read again: ${place.label}`}
                      onClick={() => setAgain(place.id)}
                    >
                      {place.label}
                    </TextButton>
                  ) : (
                    place.label
                  )}
                </td>
                <td>{place.value_mm === undefined ? "to read" : units.say("length", place.value_mm, 3)}</td>
              </tr>
            ))}
          </tbody>
        </Table>
      </Split>
      {isOpen && measure.inspection.some((look) => look.id === "spring") ? <SpringLength job={job} /> : null}
      {measure.limits ? (
        <LimitsPanel job={job} measure={measure} limits={measure.limits} isOpen={isOpen} />
      ) : null}
      {isOpen && !measure.by_eye ? <ByEye job={job} /> : null}
    </>
  );
}

interface ReadingProps {
  job: Job;
  measure: Measure;
  /** A place to be read again, before the walk goes on. */
  again: string | undefined;
  onTaken: () => void;
}

function Reading({ job, measure, again, onTaken }: ReadingProps) {
  const { add } = useEntries(job, "measure");
  const units = useUnits();
  const field = useRef<HTMLInputElement>(null);
  const [gauge, setGauge] = useState<string>();
  const [value, setValue] = useState("");
  const [turn, setTurn] = useState(0);
  useHotkeys({ g: () => field.current?.focus() });
  const place = measure.places?.find((each) => each.id === (again ?? measure.next_place));
  const used = gauge ?? place?.held ?? "";
  const simulated = useMutation({
    mutationFn: (at: string) =>
      answer(
        client.POST("/compute/instrument-readings", {
          body: { instrument: used, sheet: measure.sheet, seed: job.circuit.id, turn, place: plainPlace(at) },
        }),
      ),
    onSuccess: (reading, at) => {
      setTurn(turn + 1);
      onTaken();
      add("gauge", {
        place: at,
        value: reading.value,
        gauge: used,
        instrument: `simulated ${reading.instrument}`,
      });
    },
  });
  if (!place) return <Quiet>All of it is read. Pick a place below to read it again.</Quiet>;
  const take = (event: FormEvent) => {
    event.preventDefault();
    if (value.trim() === "") return;
    add("gauge", { place: place.id, value: units.typed("length", value), gauge: used });
    setValue("");
    onTaken();
    field.current?.focus();
  };
  return (
    <>
      {simulated.isError ? <Notice tone="warn">{simulated.error.message}</Notice> : null}
      <Choice label="Read with" options={measure.gauges ?? []} value={used} onChange={setGauge} />
      <ReadingLine onSubmit={take}>
        <TextField name="gauge" value={value} onChange={setValue}>
          <Label>{place.label}</Label>
          <InputBox>
            <Input ref={field} inputMode="decimal" autoComplete="off" onKeyDown={leaveOnEscape} />
            <span>{units.unit("length")}</span>
          </InputBox>
        </TextField>
        <Button tone="act" type="submit" hotkey="G">
          Take reading
        </Button>
      </ReadingLine>
      <Row>
        <OnTrainingMachine job={job}>
          <Button isDisabled={simulated.isPending} onPress={() => simulated.mutate(place.id)}>
            Read the simulated gauge
          </Button>
        </OnTrainingMachine>
      </Row>
    </>
  );
}

/** A place without the size and unit it is of: the simulated gauge knows one cylinder. */
const plainPlace = (id: string) => id.split("@")[0] ?? id;

/** The old spring beside the new one, or beside the service figure. */
function SpringLength({ job }: { job: Job }) {
  const { add } = useEntries(job, "measure");
  const units = useUnits();
  const [free, setFree] = useState("");
  return (
    <Row>
      <EntryField
        label="Old spring, free length"
        inputMode="decimal"
        unit={units.unit("length")}
        value={free}
        onFinish={setFree}
      />
      <EntryField
        key={free}
        label="New one, or the service figure"
        inputMode="decimal"
        unit={units.unit("length")}
        value=""
        onFinish={(fresh) =>
          free.trim() &&
          add("spring", { free: units.typed("length", free), new: units.typed("length", fresh) })
        }
      />
    </Row>
  );
}

function ByEye({ job }: { job: Job }) {
  const { add } = useEntries(job, "measure");
  return (
    <div>
      <ReasonButton
        button="No gauge on hand"
        label="Judged by eye because"
        onReason={(reason) => add("by_eye", { reason })}
      />
    </div>
  );
}
