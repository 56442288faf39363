import { useState } from "react";
import { Link } from "react-router";
import styled from "styled-components";
import type { Choose, Job, KitMatch, Supplies } from "../../server/api";
import { NearMissDrawing } from "../../drawings/NearMissDrawing";
import { Button } from "../../kit/Button";
import { EntryField } from "../../kit/EntryField";
import { FoldingPanel } from "../../kit/FoldingPanel";
import { Quiet, Row } from "../../kit/layout";
import { Mark } from "../../kit/Mark";
import { ReasonButton } from "../../kit/ReasonButton";
import { SignedList } from "../../kit/SignedList";
import { useUnits } from "../../server/useUnits";
import { useEntries } from "../useEntries";
import { NoKit } from "./NoKit";
import { SideBySide } from "./SideBySide";

interface Props {
  job: Job;
  choose: Choose;
  supplies: Supplies;
  isOpen: boolean;
}

const SAYS = { fits: "Fits", ask: "Look first", no: "Not for this" } as const;
const KIND = { fits: "good", ask: "warn", no: "stop" } as const;

const Kit = styled.li`
  display: grid;
  gap: 0.6rem;
  padding: 0.9rem 0;
  border-top: 1px solid ${(p) => p.theme.line};
`;

/** The reasons, and the drawing on their right. */
const Why = styled.div`
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(min(15rem, 100%), 1fr));
  gap: 0.6rem 1.2rem;
  align-items: start;
`;

/** A panel for the kit of each unit that comes apart. */
export function KitPanels({ job, choose, supplies, isOpen }: Props) {
  return supplies.cylinders.map((cylinder) => (
    <KitPanel
      key={cylinder.line}
      job={job}
      choose={choose}
      supplies={supplies}
      cylinder={cylinder}
      isOpen={isOpen}
    />
  ));
}

interface KitPanelProps extends Props {
  cylinder: Supplies["cylinders"][number];
}

/** Kits of the shelf against this cylinder: what fits, what looks as if it did, and why the others do not. */
function KitPanel({ job, choose, supplies, cylinder, isOpen }: KitPanelProps) {
  const units = useUnits();
  const [showsOthers, setShowsOthers] = useState(false);
  const kits = supplies.kits.filter((kit) => kit.line === cylinder.line);
  const near = kits.filter((kit) => kit.verdict !== "no" || kit.near_miss || !isElsewhere(kit));
  const usable = near.filter((kit) => kit.verdict !== "no");
  const others = kits.filter((kit) => !near.includes(kit));
  const taken = supplies.lines.find((line) => line.id === cylinder.line)?.pulled[0];
  return (
    <FoldingPanel
      title={cylinder.name ? `Kit: ${cylinder.name}` : "Kit"}
      said={taken ? `On the bench: ${taken.name ?? taken.reason ?? "a kit"}` : undefined}
      isFolded={taken !== undefined}
    >
      <p>{`${cylinder.construction}, ${units.size("length", cylinder.bore_mm)} ${units.unit("length")}.`}</p>
      <Quiet>{`Renewed in any case: ${cylinder.renewed.join(", ")}.`}</Quiet>
      {cylinder.unproven || cylinder.spring === "unknown" ? (
        <p>
          {"Read the bore and the spring off the casting mark and the parts drawing: "}
          <Link to={`/machines/${job.machine.id}?circuit=${job.circuit.id}`}>write them into the record</Link>
          .
        </p>
      ) : null}
      {near.length === 0 ? (
        <Quiet>The shelf has no kit for it. Buy one, or say which was bought.</Quiet>
      ) : null}
      {usable.length > 1 ? <SideBySide kits={usable} /> : null}
      <ul>
        {near.map((kit) => (
          <KitLine key={kit.item} job={job} kit={kit} canTake={isOpen && !taken} />
        ))}
      </ul>
      <Row $gap={1}>
        {others.length > 0 ? (
          <Button onPress={() => setShowsOthers(!showsOthers)}>
            {showsOthers ? "Hide the others" : `${others.length} kits are for other cylinders`}
          </Button>
        ) : null}
        {isOpen && !taken ? <BoughtKit job={job} line={cylinder.line} /> : null}
      </Row>
      {isOpen && !taken ? <NoKit job={job} choose={choose} line={cylinder.line} /> : null}
      {showsOthers ? (
        <ul>
          {others.map((kit) => (
            <KitLine key={kit.item} job={job} kit={kit} canTake={false} />
          ))}
        </ul>
      ) : null}
    </FoldingPanel>
  );
}

function isElsewhere(kit: KitMatch): boolean {
  return kit.reasons.some((reason) => reason.id === "construction" || reason.id === "bore");
}

function KitLine({ job, kit, canTake }: { job: Job; kit: KitMatch; canTake: boolean }) {
  const { add } = useEntries(job, "choose");
  const must = kit.lacks.filter((lack) => lack.rule === "must");
  const maybe = kit.lacks.filter((lack) => lack.rule !== "must");
  const shown = kit.reasons.filter((reason) => kit.verdict !== "no" || reason.does === "no");
  const take = (reason?: string) =>
    add("pulled", { line: kit.line, item: kit.item, ...(reason ? { reason } : {}) });
  return (
    <Kit>
      <Row>
        <Mark kind={KIND[kit.verdict]}>{SAYS[kit.verdict]}</Mark>
        <h3>{kit.name}</h3>
        <Quiet>{[kit.place, `${kit.free} free`].filter(Boolean).join(", ")}</Quiet>
      </Row>
      <Why>
        <SignedList
          lines={shown.map((reason) => ({ kind: reason.does === "no" ? "stop" : "warn", text: reason.text }))}
        />
        {kit.near_miss ? <NearMissDrawing nearMiss={kit.near_miss} /> : null}
      </Why>
      {kit.verdict !== "no" && must.length > 0 ? (
        <p>{`To be bought apart: ${must.map((lack) => lack.label).join(", ")}.`}</p>
      ) : null}
      {kit.verdict !== "no" && maybe.length > 0 ? (
        <Quiet>{`Not in it, needed only if the old one fails: ${maybe.map((lack) => lack.label).join(", ")}.`}</Quiet>
      ) : null}
      {kit.verdict !== "no" && kit.grease ? <Quiet>{kit.grease}</Quiet> : null}
      {canTake && kit.free > 0 && kit.verdict === "fits" ? (
        <div>
          <Button tone="act" onPress={() => take()}>{`Take ${kit.name}`}</Button>
        </div>
      ) : null}
      {canTake && kit.free > 0 && kit.verdict === "ask" ? (
        <EntryField
          label="Looked at it: why it is the right one"
          value=""
          onFinish={(text) => text.trim() && take(text)}
        />
      ) : null}
      {canTake && kit.free <= 0 && kit.verdict !== "no" ? (
        <Mark kind="warn">All promised to other jobs</Mark>
      ) : null}
    </Kit>
  );
}

/** A kit that never lay on the shelf: taken down with how it was compared. */
function BoughtKit({ job, line }: { job: Job; line: string }) {
  const { add } = useEntries(job, "choose");
  return (
    <div>
      <ReasonButton
        button="Bought for this job"
        label="Which kit, and how it was compared with the old parts"
        onReason={(reason) => add("pulled", { line, reason })}
      />
    </div>
  );
}
