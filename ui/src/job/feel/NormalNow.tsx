import type { Feel } from "../../server/api";
import { Panel } from "../../kit/layout";

/** What is normal at this lever after what was done to it, so that nobody chases air that is not there. */
export function NormalNow({ normal }: { normal: NonNullable<Feel["normal"]> }) {
  if (normal.length === 0) return null;
  return (
    <Panel>
      <h2>Normal after this work</h2>
      {normal.map((state) => (
        <p key={state.label}>
          <strong>{state.label}.</strong> {state.says}
        </p>
      ))}
    </Panel>
  );
}
