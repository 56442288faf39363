import { useState } from "react";
import styled from "styled-components";
import type { Job, PullLine } from "../../server/api";
import { useUnits } from "../../server/useUnits";
import { EntryField } from "../../kit/EntryField";
import { TextButton } from "../../kit/layout";
import { Sign } from "../../kit/Mark";
import { useEntries } from "../useEntries";
import { pulls } from "./pulls";

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

interface Props {
  job: Job;
  line: PullLine;
  onItsWay: ReadonlySet<unknown>;
  isOpen: boolean;
}

export function PullListLine({ job, line, onItsWay, isOpen }: Props) {
  const { add, undo } = useEntries(job, "choose");
  const isOnItsWay = onItsWay.has(line.id);
  const units = useUnits();
  const [asksFor, setAsksFor] = useState<PullLine["options"][number]>();
  const done = line.done;
  const amount = line.unit === "mL" ? units.say("volume", line.count, 0) : String(line.count);
  const tick = () => {
    if (done) return line.pulled.forEach((pulled) => undo(pulled.entry));
    const doubtful = line.options.find((option) => option.item === line.doubtful);
    if (doubtful) return setAsksFor(doubtful);
    pulls(line).forEach((pulled) => add("pulled", pulled));
  };
  return (
    <>
      <Tick
        type="button"
        role="checkbox"
        aria-checked={done}
        aria-label={line.label}
        $done={done}
        disabled={
          !isOpen || isOnItsWay || (line.id.split("@")[0] === "kit" && !done && line.takes.length === 0)
        }
        onClick={tick}
      >
        <i>{done ? <Sign kind="good" size={20} /> : null}</i>
        <span>
          {line.label}
          {line.needed && !done ? <em> needed before the work starts</em> : null}
          <small>{isOnItsWay ? "On its way" : state(line)}</small>
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
          {`Use instead: ${line.instead.label}. ${line.instead.risk}`}
        </TextButton>
      ) : null}
    </>
  );
}

function state(line: PullLine): string {
  if (line.pulled.length > 0) {
    const names = line.pulled.map(
      (pulled) => pulled.name ?? (pulled.instead ? "substitute" : (pulled.reason ?? "on hand")),
    );
    return `${line.done ? "On the bench" : "So far"}: ${names.join(", ")}`;
  }
  if (line.short > 0)
    return `${Math.ceil(line.short)}${line.unit ? ` ${line.unit}` : ""} to buy: ${line.detail ?? "none on the shelf"}`;
  const option = line.options.find((each) => !each.wrong && each.free > 0);
  const where = option ? `${option.name}${option.place ? `, ${option.place}` : ""}` : undefined;
  return [where, line.detail].filter(Boolean).join(" · ");
}
