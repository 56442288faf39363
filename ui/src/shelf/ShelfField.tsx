import type { Knowledge } from "../server/api";
import { useUnits } from "../server/useUnits";
import { EntryField } from "../kit/EntryField";
import { Picker } from "../kit/Picker";
import { asDimension } from "../kit/units";

interface Props {
  row: Knowledge["shelf_fields"][number];
  knowledge: Knowledge;
  value: string;
  error: string | undefined;
  onChange: (value: string) => void;
}

/** One thing to write down, by its rule: picked where it is one of some, typed otherwise. */
export function ShelfField({ row, knowledge, value, error, onChange }: Props) {
  const units = useUnits();
  const options = optionsOf(row, knowledge);
  const label = row.optional ? `${row.label} (if known)` : row.label;
  if (options) {
    return (
      <Picker
        label={label}
        options={[{ id: "", label: "not chosen yet" }, ...options]}
        value={value}
        onChange={onChange}
      />
    );
  }
  const dimension = asDimension(row.rule.dimension);
  return (
    <EntryField
      label={label}
      value={value}
      error={error}
      {...(dimension ? { unit: units.unit(dimension), inputMode: "decimal" as const } : {})}
      onFinish={(text) => onChange(dimension ? units.typed(dimension, text) : text)}
    />
  );
}

function optionsOf(row: Props["row"], knowledge: Knowledge): { id: string; label: string }[] | undefined {
  if (row.rule.type === "choice")
    return row.rule.choices?.map((id) => ({ id, label: id.replaceAll("_", " ") }));
  if (row.rule.table === "constructions") return knowledge.constructions;
  if (row.rule.table === "fluids") return knowledge.fluids;
  if (row.rule.table === "lubricants") return knowledge.lubricants;
  if (row.rule.table === "tools") return knowledge.tools;
  if (row.rule.tables) return knowledge.things;
  return undefined;
}
