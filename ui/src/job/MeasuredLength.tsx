import { useUnits } from "../server/useUnits";
import { EntryField } from "../kit/EntryField";

interface Props {
  label: string;
  name: string;
  /** What was measured last, mm. */
  value: number | undefined;
  decimals: number;
  onMeasure: (typed: string) => void;
}

/** A length read off a gauge, in the shop's unit. */
export function MeasuredLength({ label, name, value, decimals, onMeasure }: Props) {
  const units = useUnits();
  return (
    <EntryField
      key={value ?? "none"}
      label={label}
      name={name}
      unit={units.unit("length")}
      inputMode="decimal"
      value={value === undefined ? "" : units.bare("length", value, decimals)}
      onFinish={(text) => onMeasure(units.typed("length", text))}
    />
  );
}
