import styled from "styled-components";
import { useUnits } from "../server/useUnits";
import type { CircuitChange, PartValue } from "../server/api";
import { EntryField } from "../kit/EntryField";
import { Mark } from "../kit/Mark";
import { size } from "../kit/format";
import { asDimension, typedList } from "../kit/units";
import type { Dimension, Units } from "../kit/units";
import { Picker } from "../kit/Picker";
import { SOURCES } from "../words/partNames";

interface Props {
  value: PartValue;
  error: string | undefined;
  onChange: (typed: CircuitChange["value"], source: CircuitChange["source"]) => void;
}

type Source = NonNullable<CircuitChange["source"]>;

const Line = styled.li`
  display: grid;
  grid-template-columns: minmax(0, 1.25fr) minmax(9.5rem, 1fr);
  gap: 0.3rem 0.8rem;
  align-items: end;
  small {
    grid-column: 1 / -1;
    color: ${(p) => p.theme.quiet};
    font-size: 0.95rem;
  }
`;

export function PartValueRow({ value, error, onChange }: Props) {
  const source = (value.source === "default" ? "measured" : value.source) as Source;
  const units = useUnits();
  const dimension = asDimension(value.dimension);
  const sources = Object.entries(SOURCES).map(([id, label]) => ({ id, label }));
  const changeSource = (id: string) =>
    id === "default" ? onChange(null, undefined) : onChange(value.value, id as Source);
  return (
    <Line data-field={value.field}>
      {value.type === "choice" ? (
        <Picker
          label={value.label}
          options={value.choices ?? []}
          value={String(value.value)}
          onChange={(typed) => onChange(typed, source)}
        />
      ) : (
        <EntryField
          key={JSON.stringify(value.value)}
          label={value.label}
          unit={dimension ? units.unit(dimension) : value.unit}
          value={shown(value.value, dimension, units)}
          error={error}
          onFinish={(typed) => onChange(typedAs(value, dimension, units, typed), source)}
        />
      )}
      <Picker
        label={`Source: ${value.label}`}
        isLabelHidden
        options={sources}
        value={value.source}
        onChange={changeSource}
      />
      {value.beyond ? (
        <small>
          <Mark kind="warn">{`outside today's limits: ${value.beyond}`}</Mark>
        </small>
      ) : null}
      {value.note ? <small>{value.note}</small> : null}
    </Line>
  );
}

function typedAs(value: PartValue, dimension: Dimension | undefined, units: Units, text: string): string {
  if (!dimension) return text;
  return value.type === "measures" ? typedList(units, dimension, text) : units.typed(dimension, text);
}

function shown(value: PartValue["value"], dimension: Dimension | undefined, units: Units): string {
  const say = (number: number) => (dimension ? units.size(dimension, number) : size(number));
  if (value === null) return "";
  if (Array.isArray(value)) return value.map(say).join(" ");
  return typeof value === "number" ? say(value) : value;
}
