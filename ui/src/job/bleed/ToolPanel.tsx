import { useMutation } from "@tanstack/react-query";
import { useState } from "react";
import type { Bleed, Job } from "../../server/api";
import { answer, client } from "../../server/client";
import { useUnits } from "../../server/useUnits";
import { Button } from "../../kit/Button";
import { EntryField } from "../../kit/EntryField";
import { Quiet, Row } from "../../kit/layout";
import { Notice } from "../../kit/Notice";
import { OnTrainingMachine } from "../OnTrainingMachine";
import { useEntries } from "../useEntries";
import { time } from "../../kit/time";
import { useSecondsLeft } from "../../kit/useSecondsLeft";

interface Props {
  job: Job;
  bleed: Bleed;
  isOpen: boolean;
}

/** A vacuum tool is shown to be tight before it draws: its gauge, and again after a while. */
export function TightPanel({ job, bleed, isOpen }: Props) {
  const units = useUnits();
  const { add } = useEntries(job, "bleed");
  const [first, setFirst] = useState<string>();
  const [until, setUntil] = useState<string>();
  const left = useSecondsLeft(until);
  const tightness = bleed.tool.tightness;
  const start = (text: string) => {
    setFirst(units.typed("pressure", text));
    setUntil(new Date(time.now() + bleed.tool.held_s * 1000).toISOString());
  };
  return (
    <div style={{ display: "grid", gap: "0.6rem" }}>
      <strong>{`Is the tool tight? Pull vacuum, read the gauge, wait ${bleed.tool.held_s} s, read it again.`}</strong>
      {isOpen ? (
        <Row>
          <EntryField
            label="Vacuum pulled"
            name="vacuum"
            unit={units.unit("pressure")}
            inputMode="decimal"
            value=""
            onFinish={start}
          />
          {left !== undefined && left > 0 ? <Quiet role="timer">{`${left} s`}</Quiet> : null}
          {first !== undefined && left === 0 ? (
            <EntryField
              label={`Vacuum after ${bleed.tool.held_s} s`}
              name="vacuum-after"
              unit={units.unit("pressure")}
              inputMode="decimal"
              value=""
              onFinish={(text) => add("tool_tight", { first, after: units.typed("pressure", text) })}
            />
          ) : null}
        </Row>
      ) : null}
      {tightness ? <Notice tone={tightness.held ? "good" : "stop"}>{tightness.says}</Notice> : null}
    </div>
  );
}

/** Electronic ABS bleed (diagnostic tool): what it reported is kept. */
export function ReportPanel({ job, bleed, isOpen }: Props) {
  const { add } = useEntries(job, "bleed");
  const report = bleed.tool.report;
  const simulated = useMutation({
    mutationFn: () => answer(client.POST("/compute/tool-reports", { body: { seed: job.circuit.id } })),
    onSuccess: (read) =>
      add("tool_report", {
        lamp: read.lamp,
        report: read.report,
        instrument: `simulated ${read.instrument}`,
      }),
  });
  return (
    <div style={{ display: "grid", gap: "0.6rem" }}>
      <strong>What the machine&apos;s own tool reported</strong>
      {isOpen ? (
        <Row>
          <EntryField
            label="Its report, the lamp off"
            name="report"
            value=""
            onFinish={(text) => add("tool_report", { lamp: "off", report: text })}
          />
          <EntryField
            label="Its report, the lamp still on"
            name="report-on"
            value=""
            onFinish={(text) => add("tool_report", { lamp: "on", report: text })}
          />
          <OnTrainingMachine job={job}>
            <Button isDisabled={simulated.isPending} onPress={() => simulated.mutate()}>
              Simulated tool
            </Button>
          </OnTrainingMachine>
        </Row>
      ) : null}
      {report ? (
        <Notice tone={report.lamp === "off" ? "good" : "stop"}>
          {`${report.report} Lamp ${report.lamp}. ${report.instrument ?? "Typed in"}.`}
        </Notice>
      ) : null}
    </div>
  );
}
