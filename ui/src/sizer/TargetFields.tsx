import styled from "styled-components";
import { worded } from "../server/faults";
import { useUnits } from "../server/useUnits";
import { EntryField } from "../kit/EntryField";
import { size } from "../kit/format";
import { withValue } from "./candidates";
import type { SizingState } from "./useSizing";

const Line = styled.div`
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(9.5rem, 1fr));
  gap: 0.8rem;
`;

/** What is wanted of the lever. A change redraws at once and is not stored. */
export function TargetFields({ sizing }: { sizing: SizingState }) {
  const units = useUnits();
  const target = sizing.data?.target;
  const part = sizing.request.sheet.parts.find((each) => each.part === "target");
  if (!target || !part) return null;
  const errorAt = (field: string) =>
    sizing.refused?.pointer === `sheet/parts/${part.id}/${field}` ? worded(sizing.refused) : undefined;
  const set = (field: string, text: string) =>
    sizing.setSheet(withValue(sizing.request.sheet, part.id, field, text));
  const lengths = (field: string, label: string, value: number) => (
    <EntryField
      key={`${field}-${value}`}
      label={label}
      unit={units.unit("length")}
      inputMode="decimal"
      error={errorAt(field)}
      value={units.size("length", value)}
      onFinish={(text) => set(field, units.typed("length", text))}
    />
  );
  const forces = (field: string, label: string, value: number) => (
    <EntryField
      key={`${field}-${value}`}
      label={label}
      unit="N"
      inputMode="decimal"
      error={errorAt(field)}
      value={size(value)}
      onFinish={(text) => set(field, text)}
    />
  );
  return (
    <Line>
      {target.deceleration_m_s2 === undefined ? null : (
        <EntryField
          key={target.deceleration_m_s2}
          label="Deceleration"
          unit="m/s²"
          inputMode="decimal"
          error={errorAt("deceleration")}
          value={size(target.deceleration_m_s2)}
          onFinish={(text) => set("deceleration", text)}
        />
      )}
      {forces("effort", "Wanted effort", target.effort_n)}
      {forces("effort_tolerance", "Give or take", target.effort_tolerance_n)}
      {forces("effort_limit", "Never over", target.effort_limit_n)}
      {lengths("travel", "Wanted travel", target.travel_mm)}
      {lengths("travel_tolerance", "Give or take, travel", target.travel_tolerance_mm)}
    </Line>
  );
}
