import { useState } from "react";
import type { Ask, Knowledge } from "../../server/api";
import { Button } from "../../kit/Button";
import { Choice } from "../../kit/Choice";
import { Panel, Quiet, Row } from "../../kit/layout";

interface Props {
  ask: Ask;
  findings: Knowledge["findings"];
  flags: Knowledge["red_flags"];
  onFind: (finding: string, value: string) => void;
  onReport: (flag: string, part?: string) => void;
}

/** Every finding that can be asked on this circuit, and dangers that are seen rather than tested. */
export function EveryFinding({ ask, findings, flags, onFind, onReport }: Props) {
  const [shown, setShown] = useState<"none" | "findings" | "flags">("none");
  const turn = (which: "findings" | "flags") => setShown(shown === which ? "none" : which);
  const up = new Set(ask.flags.map((flag) => flag.id));
  return (
    <Panel>
      <Row>
        <Button onPress={() => turn("findings")}>
          {shown === "findings" ? "Hide the list" : "Every finding"}
        </Button>
        <Button tone="stop" onPress={() => turn("flags")}>
          {shown === "flags" ? "Hide the dangers" : "Report a danger"}
        </Button>
      </Row>
      {shown === "findings"
        ? findings
            .filter((finding) => ask.askable.includes(finding.id))
            .map((finding) => (
              <Choice
                key={`${finding.id}-${(ask.findings[finding.id] ?? []).length}`}
                label={finding.label}
                hint={`${finding.how} ${finding.minutes} min.${finding.many ? " Select all that apply." : ""}`}
                options={Object.entries(finding.values).map(([id, label]) => ({ id, label }))}
                value={finding.many ? undefined : ask.findings[finding.id]?.[0]}
                onChange={(value) => onFind(finding.id, value)}
              />
            ))
        : null}
      {shown === "flags" ? (
        <>
          <Quiet>Each stops the job until it is put right, or a lead lifts it with a reason.</Quiet>
          <Row $gap={1}>
            {flags
              .filter((flag) => flag.reported && !up.has(flag.id))
              .flatMap((flag) =>
                (flag.of_part ? (ask.parts ?? []) : [undefined]).map((part) => (
                  <Button key={flag.id + (part?.id ?? "")} onPress={() => onReport(flag.id, part?.id)}>
                    {part ? `${flag.label}: ${part.label}` : flag.label}
                  </Button>
                )),
              )}
          </Row>
        </>
      ) : null}
    </Panel>
  );
}
