import { useState } from "react";
import styled from "styled-components";
import { useUnits } from "../../server/useUnits";
import type { Control, Feel } from "../../server/api";
import { Button } from "../../kit/Button";
import { EntryField } from "../../kit/EntryField";
import { figure } from "../../kit/format";
import { Quiet } from "../../kit/layout";
import { Mark, Sign } from "../../kit/Mark";
import { Room } from "../../kit/Rooms";

interface Props {
  hand: NonNullable<Feel["hand"]>;
  control: Control;
  /** The readings of a gauge do not say it already. */
  isWanted: boolean;
  isOpen: boolean;
  onSqueeze: (data: Record<string, string>) => void;
}

const Items = styled.ul`
  li {
    display: grid;
    grid-template-columns: 1.6rem minmax(0, 1fr);
    gap: 0.2rem 0.7rem;
    align-items: center;
    min-height: 2.6rem;
    border-top: 1px solid ${(p) => p.theme.line};
  }
  p {
    grid-column: 2;
  }
`;

const Fields = styled.div`
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(11rem, 1fr));
  gap: 0.8rem;
  align-items: end;
`;

/** A lever judged without a gauge: each thing that a hand, a ruler and a clock tell, and what its springiness says. */
export function HandPanel({ hand, control, isWanted, isOpen, onSqueeze }: Props) {
  const left = hand.items.filter((item) => !item.good).length + (hand.springiness ? 0 : 1);
  return (
    <Room
      id="hand"
      title="Judged by hand"
      said={hand.passed ? "passed" : isWanted ? undefined : "not needed: the readings say it"}
      left={isWanted ? left : undefined}
    >
      <Quiet>
        Without a gauge. Each is looked at once; the tests, the five pulls and the hold have their own parts
        below.
      </Quiet>
      <Items>
        {hand.items.map((item) => (
          <li key={item.id}>
            <Sign kind={item.good ? "good" : item.good === false ? "stop" : "quiet"} size={20} />
            <strong>{item.label}</strong>
            {item.said ? <p>{item.said}</p> : null}
          </li>
        ))}
      </Items>
      {hand.springiness ? (
        <p>
          <Mark kind={MARKS[hand.springiness.verdict] ?? "warn"}>{WORDS[hand.springiness.verdict]}</Mark>{" "}
          {hand.springiness.why}
        </p>
      ) : null}
      {isOpen ? <Squeeze key={hand.squeezes} hand={hand} control={control} onSqueeze={onSqueeze} /> : null}
    </Room>
  );
}

const MARKS = { clear: "good", springy: "stop", cant_tell: "warn" } as const;
const WORDS = { clear: "Clear of air", springy: "Springy", cant_tell: "Can't tell by hand" };

function Squeeze({ hand, control, onSqueeze }: Omit<Props, "isOpen" | "isWanted">) {
  const units = useUnits();
  const [typed, setTyped] = useState<Record<string, string>>({});
  const fields: [string, string][] = [
    ...(hand.gap_wanted
      ? [["gap", `Free gap, ${control.noun} at rest to the ${control.stop}`] as [string, string]]
      : []),
    ["light", `Travel at a light ${control.press}, about ${figure(hand.light_n, 0)} N`],
    ["firm", `Travel at a firm ${control.press}, about ${figure(hand.firm_n, 0)} N`],
  ];
  const isWhole = fields.every(([name]) => typed[name]?.trim());
  const record = () =>
    onSqueeze(
      Object.fromEntries(fields.map(([name]) => [name, String(units.typed("length", typed[name] ?? ""))])),
    );
  return (
    <>
      <Fields>
        {fields.map(([name, label]) => (
          <EntryField
            key={name}
            name={`squeeze_${name}`}
            label={label}
            inputMode="decimal"
            unit={units.unit("length")}
            value={typed[name] ?? ""}
            onFinish={(text) => setTyped({ ...typed, [name]: text })}
          />
        ))}
        <Button tone="act" isDisabled={!isWhole} onPress={record}>
          Record these readings
        </Button>
      </Fields>
      <Quiet>{`Read again, the readings are averaged. ${hand.squeezes} so far.`}</Quiet>
    </>
  );
}
