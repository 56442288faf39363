import styled from "styled-components";
import type { Fit } from "../../server/api";
import { useUnits } from "../../server/useUnits";
import { Choice } from "../../kit/Choice";
import { Quiet, Row } from "../../kit/layout";
import { Sign } from "../../kit/Mark";
import { AllGood } from "../AllGood";
import { MeasuredLength } from "../MeasuredLength";
import { useEntries } from "../useEntries";
import type { FitProps } from "./fitProps";
import { FitRoom } from "./FitRoom";

type Check = Fit["checks"][number];

const Grid = styled.ul`
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(22rem, 1fr));
  gap: 0 2rem;
  @media (max-width: 60rem) {
    grid-template-columns: minmax(0, 1fr);
  }
`;

const Item = styled.li<{ $kind: string }>`
  display: grid;
  grid-template-columns: 1.6rem minmax(0, 1fr) auto;
  gap: 0.4rem 0.8rem;
  align-items: center;
  padding: 0.6rem 0;
  > [data-below] {
    grid-column: 2 / -1;
  }
  border-top: 1px solid ${(p) => p.theme.line};
  > svg {
    color: ${(p) => (p.$kind === "good" ? p.theme.good : p.$kind === "stop" ? p.theme.stop : p.theme.quiet)};
  }
  em {
    font-style: normal;
    font-weight: 650;
    color: ${(p) => p.theme.stop};
  }
`;

/** What must not touch, pull or catch, and what must work, in the order in which one walks round the machine. */
export function ClearancePanel({ job, fit, isOpen }: FitProps) {
  if (fit.checks.length === 0) return null;
  return (
    <FitRoom fit={fit} id="looks" title="Clearance and looks">
      {fit.walk?.map((place) => (
        <Place
          key={place.id}
          label={place.label}
          job={job}
          checks={fit.checks.filter((check) => check.place === place.id)}
          isOpen={isOpen}
        />
      )) ?? <Place label="Round the machine" job={job} checks={fit.checks} isOpen={isOpen} />}
    </FitRoom>
  );
}

interface PlaceProps extends Pick<FitProps, "job" | "isOpen"> {
  label: string;
  checks: Check[];
}

function Place({ label, job, checks, isOpen }: PlaceProps) {
  const { add } = useEntries(job, "fit");
  return (
    <section aria-label={label}>
      <Row $gap={1.5}>
        <h3>{label}</h3>
        {isOpen ? (
          <AllGood
            place={label}
            ids={checks.filter((check) => check.together).map((check) => check.id)}
            onGood={(check) => add("check", { check, value: "good" })}
          />
        ) : null}
      </Row>
      <Grid>
        {checks.map((check) => (
          <Line key={check.id} job={job} check={check} isOpen={isOpen} />
        ))}
      </Grid>
    </section>
  );
}

function Line({ job, check, isOpen }: Pick<FitProps, "job" | "isOpen"> & { check: Check }) {
  const units = useUnits();
  const kind = check.pass === undefined ? "quiet" : check.pass ? "good" : "stop";
  return (
    <Item $kind={kind}>
      <Sign kind={kind} size={22} />
      <div>
        <strong>{check.label}</strong>
        <Quiet>{check.how}</Quiet>
        {check.gap && check.from_mm !== undefined && check.pass === false ? (
          <em>{`At least ${units.say("length", check.from_mm, 0)}`}</em>
        ) : null}
        {check.near && check.aim_mm !== undefined ? (
          <Quiet>{`Near: aim for ${units.say("length", check.aim_mm, 0)} by an adjuster that could be pushed on.`}</Quiet>
        ) : null}
      </div>
      <Answer job={job} check={check} isOpen={isOpen} />
    </Item>
  );
}

function Answer({ job, check, isOpen }: Pick<FitProps, "job" | "isOpen"> & { check: Check }) {
  const { add } = useEntries(job, "fit");
  const units = useUnits();
  if (check.later) return <Quiet>after the bleed</Quiet>;
  if (!isOpen)
    return (
      <strong>
        {check.gap
          ? check.value_mm === undefined
            ? "not measured"
            : units.say("length", check.value_mm, 0)
          : (check.answer ?? "not looked at")}
      </strong>
    );
  if (check.gap)
    return (
      <div style={{ width: "9rem" }}>
        <MeasuredLength
          label="Gap"
          name={`gap-${check.id}`}
          value={check.value_mm}
          decimals={0}
          onMeasure={(value) => add("gap", { check: check.id, value })}
        />
      </div>
    );
  const options = [
    { id: "good", label: "Good" },
    { id: "bad", label: "Not right" },
    ...(check.may_lack ? [{ id: "none", label: "None" }] : []),
  ];
  return (
    <div data-below>
      <Choice
        label={check.label}
        isLabelHidden
        options={options}
        value={check.answer}
        onChange={(value) => add("check", { check: check.id, value })}
      />
    </div>
  );
}
