import { useState } from "react";
import styled from "styled-components";
import type { Job, SetupFigure, SetupRow, Strip } from "../../server/api";
import { Button } from "../../kit/Button";
import { EntryField } from "../../kit/EntryField";
import { Quiet, Row, TextButton } from "../../kit/layout";
import { Mark, Sign } from "../../kit/Mark";
import { Notice } from "../../kit/Notice";
import { useUnits } from "../../server/useUnits";
import { TradeText } from "../../pieces/TradeText";
import { useEntries } from "../useEntries";

interface Props {
  job: Job;
  strip: Strip;
  isOpen: boolean;
}

const Lines = styled.ul`
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(26rem, 1fr));
  gap: 0 2rem;
  @media (max-width: 60rem) {
    grid-template-columns: minmax(0, 1fr);
  }
`;

const Line = styled.li<{ $done: boolean }>`
  display: grid;
  grid-template-columns: 1.6rem minmax(0, 1fr);
  gap: 0.8rem;
  align-items: start;
  padding: 0.7rem 0;
  border-top: 1px solid ${(p) => p.theme.line};
  > svg {
    margin-top: 0.15rem;
    color: ${(p) => (p.$done ? p.theme.good : p.theme.quiet)};
  }
`;

const Said = styled.div`
  display: grid;
  gap: 0.3rem;
  justify-items: start;
`;

/** Protection, attitude and marks; what blocks the first step comes with its own button. */
export function SetupLines({ job, strip, isOpen }: Props) {
  const blocking = strip.setup.filter((row) => row.word === "block" && row.value === undefined);
  return (
    <>
      {blocking.length > 0 ? (
        <div>
          <Mark kind="warn">{`${blocking.length} before ${strip.steps.length > 0 ? "the first step" : "any fluid moves"}`}</Mark>
        </div>
      ) : null}
      <Lines>
        {strip.setup.map((row) => (
          <SetupLine key={row.id} job={job} strip={strip} row={row} isOpen={isOpen} />
        ))}
      </Lines>
    </>
  );
}

/** What was in the way, one by one, with its screws. */
function Aside({ job, aside, isOpen }: { job: Job; aside: NonNullable<Strip["aside"]>; isOpen: boolean }) {
  const { add, undo } = useEntries(job, "strip");
  return (
    <>
      {aside.map((each) => (
        <Row key={each.entry} $gap={1}>
          <span>{each.what}</span>
          {isOpen ? (
            <TextButton type="button" onClick={() => undo(each.entry)}>
              Remove from the list
            </TextButton>
          ) : null}
        </Row>
      ))}
      {isOpen ? (
        <EntryField
          key={aside.length}
          label="In the way: what, and its screws"
          value=""
          onFinish={(what) => what.trim() && add("aside", { what })}
        />
      ) : null}
    </>
  );
}

/** What is written down before anything moves. */
function Figures({ job, figures }: { job: Job; figures: SetupFigure[] }) {
  const { add } = useEntries(job, "strip");
  const units = useUnits();
  return (
    <Row $gap={1}>
      {figures.map((figure) => {
        const isLength = figure.dimension === "length";
        const shown =
          figure.value === undefined
            ? ""
            : isLength
              ? units.size("length", figure.value)
              : String(figure.value);
        return (
          <EntryField
            key={`${figure.id} ${shown}`}
            label={figure.label}
            inputMode="decimal"
            {...(isLength ? { unit: units.unit("length") } : {})}
            value={shown}
            onFinish={(text) =>
              text.trim() &&
              add("figure", { figure: figure.id, value: isLength ? units.typed("length", text) : text })
            }
          />
        );
      })}
    </Row>
  );
}

interface LineProps extends Props {
  row: SetupRow;
}

function SetupLine({ job, strip, row, isOpen }: LineProps) {
  const { add } = useEntries(job, "strip");
  const [passes, setPasses] = useState(false);
  const done = row.value !== undefined;
  const values = Object.entries(row.values ?? { done: "Done" });
  return (
    <Line $done={done}>
      <Sign kind={done ? "good" : row.word === "block" ? "warn" : "quiet"} size={22} />
      <Said>
        <strong>{row.label}</strong>
        <Quiet>
          <TradeText>{row.detail}</TradeText>
        </Quiet>
        {row.warning ? <Notice tone="warn">{row.warning}</Notice> : null}
        {row.reason ? <p>{`Waived: ${row.reason}`}</p> : null}
        {row.id === "walk_round" ? <Aside job={job} aside={strip.aside ?? []} isOpen={isOpen} /> : null}
        {row.figures && isOpen ? <Figures job={job} figures={row.figures} /> : null}
        {isOpen ? (
          <Row $gap={1}>
            {values.map(([value, label]) => (
              <Button
                key={value}
                aria-label={`${row.label}: ${label}`}
                tone={row.value === value ? "act" : "plain"}
                onPress={() => add("setup", { item: row.id, value })}
              >
                {label}
              </Button>
            ))}
            {row.waivable && !done ? (
              <TextButton type="button" onClick={() => setPasses(!passes)}>
                Waive it with a reason
              </TextButton>
            ) : null}
          </Row>
        ) : null}
        {passes && !done ? (
          <EntryField
            label={`Why it does not apply: ${row.label}`}
            value=""
            onFinish={(reason) => reason.trim() && add("setup", { item: row.id, value: "passed", reason })}
          />
        ) : null}
      </Said>
    </Line>
  );
}
