import { useMutation } from "@tanstack/react-query";
import { useState } from "react";
import type { Choose, FluidCheck, Job } from "../../server/api";
import { answer, client } from "../../server/client";
import { BoilingCurve } from "../../drawings/BoilingCurve";
import { Button } from "../../kit/Button";
import { EntryField } from "../../kit/EntryField";
import { FoldingPanel } from "../../kit/FoldingPanel";
import { Quiet, Row } from "../../kit/layout";
import { Mark } from "../../kit/Mark";
import { Notice } from "../../kit/Notice";
import { OnTrainingMachine } from "../OnTrainingMachine";
import { useEntries } from "../useEntries";

interface Props {
  job: Job;
  choose: Choose;
  check: FluidCheck;
  isOpen: boolean;
}

const KIND = { good: "good", book: "warn", visit: "warn", release: "stop" } as const;

/** What is in the circuit now: water, boiling point against fresh, and when the next change is due. */
export function FluidCheckPanel({ job, choose, check, isOpen }: Props) {
  const verdict = check.verdict;
  const due = check.due;
  return (
    <FoldingPanel
      title="The fluid in it now"
      said={
        verdict ? (
          <Mark
            kind={KIND[verdict.id as keyof typeof KIND]}
          >{`${verdict.label}${check.water?.source === "estimate" ? ", by estimate" : ""}`}</Mark>
        ) : undefined
      }
      isFolded={choose.fluid !== undefined}
    >
      {check.takes_water ? (
        <>
          <p>{waterSaid(check)}</p>
          <BoilingCurve check={check} />
          {isOpen ? <PenReading job={job} choose={choose} /> : null}
        </>
      ) : (
        <Quiet>{check.free_water ?? "The class on the cap is not read yet."}</Quiet>
      )}
      <p>
        <b>{due.overdue ? `Change overdue since ${due.on}.` : `Next full change: ${due.on}.`}</b>
        {` ${due.why}`}
      </p>
      {due.others.map((other) => (
        <Quiet key={other.by}>{`By ${other.by}: ${other.on}. ${other.why}`}</Quiet>
      ))}
    </FoldingPanel>
  );
}

function waterSaid(check: FluidCheck): string {
  const { water, boils_c: now, boils_low_c: low, boils_high_c: high } = check;
  if (!water || now === undefined) return "Age unknown: test the water content, or treat it as overdue.";
  if (check.by === "boil_tester")
    return `Boils at ${now.toFixed(0)} °C by the boil tester: about ${water.percent.toFixed(1)} % of water. Fresh at ${check.dry_c ?? 0} °C, wet limit ${check.wet_c ?? 0} °C.`;
  if (water.source === "measured")
    return `${water.percent.toFixed(1)} % of water read: boils at ${now.toFixed(0)} °C; fresh at ${check.dry_c ?? 0} °C.`;
  return `Estimate from its age: ${water.percent.toFixed(1)} % of water (${water.low.toFixed(1)} to ${water.high.toFixed(1)}), boils at ${now.toFixed(0)} °C (${(low ?? now).toFixed(0)} to ${(high ?? now).toFixed(0)}); fresh at ${check.dry_c ?? 0} °C.`;
}

/** Water as a pen reads it, or the temperature at which a sample boils; the pen may be a simulated one. */
function PenReading({ job, choose }: { job: Job; choose: Choose }) {
  const { add } = useEntries(job, "choose");
  const [turn, setTurn] = useState(0);
  const pen = useMutation({
    mutationFn: () =>
      answer(
        client.POST("/compute/instrument-readings", {
          body: { instrument: "moisture_pen", sheet: choose.sheet, seed: job.circuit.id, turn },
        }),
      ),
    onSuccess: (reading) => {
      setTurn(turn + 1);
      add("water", { water: reading.value, instrument: `simulated ${reading.instrument}` });
    },
  });
  return (
    <>
      {pen.isError ? <Notice tone="warn">{pen.error.message}</Notice> : null}
      <Row>
        <EntryField
          key={choose.water}
          label="Water as the pen reads it"
          inputMode="decimal"
          unit="%"
          value={choose.water === undefined || choose.boils !== undefined ? "" : String(choose.water)}
          onFinish={(water) => add("water", { water })}
        />
        <EntryField
          key={`boils ${choose.boils ?? ""}`}
          label="Boil tester"
          inputMode="decimal"
          unit="°C"
          value={choose.boils === undefined ? "" : String(choose.boils)}
          onFinish={(celsius) => add("boils", { celsius })}
        />
        <OnTrainingMachine job={job}>
          <Button onPress={() => pen.mutate()}>Read the simulated pen</Button>
        </OnTrainingMachine>
      </Row>
    </>
  );
}
