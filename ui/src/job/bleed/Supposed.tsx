import type { BleedSupposed } from "../../server/queries";
import { Choice } from "../../kit/Choice";

interface Props {
  supposed: BleedSupposed;
  onChange: (supposed: BleedSupposed) => void;
}

const COLD = [
  { id: "20", label: "20 °C" },
  { id: "5", label: "5 °C" },
  { id: "-10", label: "−10 °C" },
];

const OPENINGS = [
  { id: "", label: "As the method has it" },
  { id: "half", label: "1/2 turn" },
];

const AS_IT_IS = [
  { id: "no", label: "As it is" },
  { id: "yes", label: "Changed" },
];

/** What if: each change redraws the line and the verdicts. */
export function Supposed({ supposed, onChange }: Props) {
  const yes = (is: boolean | undefined) => (is ? "yes" : "no");
  return (
    <div style={{ display: "grid", gap: "0.8rem" }}>
      <h3>What if</h3>
      <Choice
        label="Fluid at"
        options={COLD}
        value={String(supposed.celsius)}
        onChange={(celsius) => onChange({ ...supposed, celsius: Number(celsius) })}
      />
      <Choice
        label="Nipple opened"
        options={OPENINGS}
        value={supposed.opening ?? ""}
        onChange={(id) =>
          onChange({ ...asTheMethodHasIt(supposed), ...(id === "half" ? { opening: "half" } : {}) })
        }
      />
      <Choice
        label="High loop pulled down and tied"
        options={AS_IT_IS}
        value={yes(supposed.loop_down)}
        onChange={(id) => onChange({ ...supposed, loop_down: id === "yes" })}
      />
      <Choice
        label="Caliper hung with its port on top"
        options={AS_IT_IS}
        value={yes(supposed.turned)}
        onChange={(id) => onChange({ ...supposed, turned: id === "yes" })}
      />
      <Choice
        label="Bar turned, so that the master stands higher"
        options={AS_IT_IS}
        value={yes(Boolean(supposed.raised))}
        onChange={(id) => onChange({ ...supposed, raised: id === "yes" ? 80 : 0 })}
      />
    </div>
  );
}

function asTheMethodHasIt(supposed: BleedSupposed): BleedSupposed {
  const rest = { ...supposed };
  delete rest.opening;
  return rest;
}
