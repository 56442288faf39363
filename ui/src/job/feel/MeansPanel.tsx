import type { ReactNode } from "react";
import type { Feel } from "../../server/api";
import { Choice } from "../../kit/Choice";
import { EntryField } from "../../kit/EntryField";
import { Row } from "../../kit/layout";
import { Room } from "../../kit/Rooms";
import { useUnits } from "../../server/useUnits";

interface Props {
  feel: Feel;
  onSay: (kind: "means" | "weights" | "ruler", data: Record<string, string>) => void;
  /** A gauge's own file. */
  children: ReactNode;
}

const MEANS = [
  { id: "gauge", label: "A force gauge or a luggage scale" },
  { id: "hung", label: "Bottles or weights to hang on it" },
  { id: "hand", label: "Hands and a ruler only" },
];

/** What the lever is judged with: it can be changed at any time, what was read stays. */
export function MeansPanel({ feel, onSay, children }: Props) {
  const units = useUnits();
  return (
    <Room
      id="means"
      title="Judged with"
      said={MEANS.find((means) => means.id === feel.means)?.label ?? "not said yet"}
    >
      <Choice
        label={`What the ${feel.control.noun} is judged with`}
        options={MEANS}
        value={feel.means}
        onChange={(by) => onSay("means", { by })}
      />
      <Row>
        <EntryField
          label="What there is to hang on it, in kg or litres of water"
          name="weights"
          value=""
          onFinish={(masses) => masses.trim() && onSay("weights", { masses })}
        />
        <EntryField
          label="Step of the ruler"
          name="ruler"
          inputMode="decimal"
          unit={units.unit("length")}
          value=""
          onFinish={(step) => step.trim() && onSay("ruler", { step: String(units.typed("length", step)) })}
        />
      </Row>
      {children}
    </Room>
  );
}
