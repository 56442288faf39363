import { useState } from "react";
import styled from "styled-components";
import type { Job, PullLine, Supplies } from "../../app/api";
import { useUnits } from "../../app/useUnits";
import { EntryField } from "../../kit/EntryField";
import { Big, Panel, Quiet, Row, TextButton, TextLink } from "../../kit/layout";
import { Sign } from "../../kit/Mark";
import { Notice } from "../../kit/Notice";
import { useEntries } from "../useEntries";
import { bestOption } from "./bestOption";

interface Props {
  job: Job;
  supplies: Supplies;
  isOpen: boolean;
}

const GROUPS = ["parts", "fluid", "consumables", "tools", "protection"] as const;
/** Groups in which each line wants a thought of its own. */
const WEIGHED: readonly string[] = ["parts", "fluid"];
const GROUP_NAMES = {
  parts: "Parts",
  fluid: "Fluid",
  consumables: "Consumables",
  tools: "Tools",
  protection: "Protection",
} as const;

const Tick = styled.button<{ $done: boolean }>`
  display: grid;
  grid-template-columns: 1.9rem minmax(0, 1fr) auto;
  gap: 0.7rem;
  align-items: center;
  width: 100%;
  min-height: 3rem;
  padding: 0.35rem 0.4rem;
  border: 0;
  border-top: 1px solid ${(p) => p.theme.line};
  background: none;
  color: inherit;
  text-align: left;
  cursor: pointer;
  &:disabled {
    cursor: default;
  }
  > i {
    display: grid;
    place-items: center;
    width: 1.9rem;
    height: 1.9rem;
    border: 2.5px solid ${(p) => (p.$done ? p.theme.good : p.theme.quiet)};
    border-radius: 0.35rem;
    background: ${(p) => (p.$done ? p.theme.goodSoft : "transparent")};
    color: ${(p) => p.theme.good};
  }
  small {
    display: block;
    color: ${(p) => p.theme.quiet};
    font-size: 0.92rem;
  }
  em {
    font-style: normal;
    font-weight: 650;
    color: ${(p) => p.theme.warn};
  }
`;

/** Everything that lies on the bench before the first screw is turned; a tick takes it off the shelf. */
export function PullListPanel({ job, supplies, isOpen }: Props) {
  const done = supplies.lines.filter(isDone).length;
  if (supplies.lines.length === 0)
    return (
      <Panel>
        <h2>Pull list</h2>
        <Quiet>It is drawn up once Ask has its route.</Quiet>
      </Panel>
    );
  return (
    <Panel as="aside" aria-label="Pull list">
      <Row $gap={3}>
        <div>
          <h2>Pull list</h2>
          <Quiet>A tick takes it off the shelf.</Quiet>
        </div>
        <Big $size="2.4rem">
          {done}
          <small>{` of ${supplies.lines.length}`}</small>
        </Big>
      </Row>
      {GROUPS.map((group) => {
        const lines = supplies.lines.filter((line) => line.group === group);
        if (lines.length === 0) return null;
        return (
          <section key={group}>
            <h3>{GROUP_NAMES[group]}</h3>
            {lines.map((line) => (
              <Line key={line.id} job={job} line={line} supplies={supplies} isOpen={isOpen} />
            ))}
            {isOpen && !WEIGHED.includes(group) ? <Rest job={job} lines={lines} supplies={supplies} /> : null}
          </section>
        );
      })}
      {supplies.stale.length > 0 ? <Stale job={job} supplies={supplies} isOpen={isOpen} /> : null}
      <Row $gap={1}>
        <TextLink href={`/api/jobs/${job.id}/pull-list.pdf`}>Pull list as PDF</TextLink>
        {supplies.buy.length > 0 ? (
          <TextLink
            href={`/api/jobs/${job.id}/buy-list.csv`}
          >{`Buy list, ${supplies.buy.length} short (CSV)`}</TextLink>
        ) : null}
      </Row>
    </Panel>
  );
}

/** One tap for the lines of a group that need no thought: nothing to weigh up, nothing to buy. */
function Rest({ job, lines, supplies }: { job: Job; lines: PullLine[]; supplies: Supplies }) {
  const { add } = useEntries(job, "choose");
  const rest = lines.filter((line) => !isDone(line) && !line.needed && line.short === 0);
  const sure = rest.filter((line) => !bestOption(line, supplies)?.doubt);
  if (sure.length < 2) return null;
  return (
    <TextButton type="button" onClick={() => sure.forEach((line) => add("pulled", pull(line, supplies)))}>
      {`Tick the other ${sure.length}`}
    </TextButton>
  );
}

function pull(line: PullLine, supplies: Supplies) {
  const option = bestOption(line, supplies);
  return { line: line.id, ...(option ? { item: option.item } : {}) };
}

/** Pulled for a route the job has left. */
function Stale({ job, supplies, isOpen }: Props) {
  const { undo } = useEntries(job, "choose");
  return (
    <Notice tone="warn">
      <strong>No longer needed</strong>
      {supplies.stale.map((pulled) => (
        <Row key={pulled.entry} $gap={1}>
          <span>{pulled.name ?? pulled.reason ?? pulled.line.replace("tool.", "").replaceAll("_", " ")}</span>
          {isOpen ? (
            <TextButton type="button" onClick={() => undo(pulled.entry)}>
              Give it back
            </TextButton>
          ) : null}
        </Row>
      ))}
    </Notice>
  );
}

function isDone(line: PullLine): boolean {
  const amount = line.pulled.reduce((sum, pulled) => sum + (pulled.count ?? line.count), 0);
  return line.pulled.length > 0 && amount >= line.count - 0.5;
}

function Line({
  job,
  line,
  supplies,
  isOpen,
}: {
  job: Job;
  line: PullLine;
  supplies: Supplies;
  isOpen: boolean;
}) {
  const { add, undo } = useEntries(job, "choose");
  const units = useUnits();
  const [asksFor, setAsksFor] = useState<PullLine["options"][number]>();
  const done = isDone(line);
  const amount = line.unit === "mL" ? units.say("volume", line.count, 0) : String(line.count);
  const tick = () => {
    if (done) return line.pulled.forEach((pulled) => undo(pulled.entry));
    const option = bestOption(line, supplies);
    if (option?.doubt) return setAsksFor(option);
    add("pulled", pull(line, supplies));
  };
  return (
    <>
      <Tick
        type="button"
        role="checkbox"
        aria-checked={done}
        aria-label={line.label}
        $done={done}
        disabled={!isOpen || (line.id === "kit" && !done && !bestOption(line, supplies))}
        onClick={tick}
      >
        <i>{done ? <Sign kind="good" size={20} /> : null}</i>
        <span>
          {line.label}
          {line.needed && !done ? <em> needed before anything is opened</em> : null}
          <small>{state(line, done)}</small>
        </span>
        <b>{line.count > 1 ? amount : ""}</b>
      </Tick>
      {asksFor ? (
        <EntryField
          label={`${asksFor.name}: ${asksFor.doubt ?? ""}. Why it may be used`}
          value=""
          onFinish={(reason) => {
            setAsksFor(undefined);
            if (reason.trim()) add("pulled", { line: line.id, item: asksFor.item, reason });
          }}
        />
      ) : null}
      {line.instead && !done && isOpen ? (
        <TextButton type="button" onClick={() => add("pulled", { line: line.id, instead: true })}>
          {`Use ${line.instead.label.toLowerCase()}: ${line.instead.risk}`}
        </TextButton>
      ) : null}
    </>
  );
}

function state(line: PullLine, done: boolean): string {
  if (line.pulled.length > 0) {
    const names = line.pulled.map(
      (pulled) => pulled.name ?? (pulled.instead ? "substitute" : (pulled.reason ?? "on hand")),
    );
    return `${done ? "On the bench" : "So far"}: ${names.join(", ")}`;
  }
  if (line.short > 0)
    return `${Math.ceil(line.short)}${line.unit ? ` ${line.unit}` : ""} to buy: ${line.detail ?? "none on the shelf"}`;
  const option = line.options.find((each) => !each.wrong && each.free > 0);
  const where = option ? `${option.name}${option.place ? `, ${option.place}` : ""}` : undefined;
  return [where, line.detail].filter(Boolean).join(" · ");
}
