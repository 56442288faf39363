import { TiltDrawing } from "../../drawings/TiltDrawing";
import { useUnits } from "../../server/useUnits";
import { EntryField } from "../../kit/EntryField";
import { Quiet } from "../../kit/layout";
import { Notice } from "../../kit/Notice";
import { useEntries } from "../useEntries";
import type { FitProps } from "./fitProps";
import { FitRoom } from "./FitRoom";

/** Whether the port stays covered at the tilt it hangs at, and where this kind of machine goes. */
export function ReservoirPanel({ job, fit, isOpen }: FitProps) {
  const { add } = useEntries(job, "fit");
  const units = useUnits();
  const room = fit.reservoir;
  if (!room) return null;
  return (
    <FitRoom fit={fit} id="reservoir" title="Reservoir">
      <TiltDrawing room={room} />
      <Quiet>
        {`At MAX it can tilt ${Math.floor(room.limit_deg)}° before the port is uncovered`}
        {room.port_known
          ? `, with the port ${units.say("length", room.port_offset_mm, 0)} off the middle.`
          : ", with the port taken to lie at the edge: the worst case."}
      </Quiet>
      {room.covered === false ? (
        <Notice tone="stop" live>
          The port is uncovered at rest: air goes in at the first pull. Turn the reservoir level.
        </Notice>
      ) : null}
      {room.beyond && !room.beyond.covered ? (
        <Notice tone="warn">
          {`In ${room.beyond.label} it comes to ${Math.round(room.beyond.deg)}°: keep it at MAX, with its foam or float in.`}
        </Notice>
      ) : null}
      {isOpen ? (
        <EntryField
          key={room.tilt_deg ?? "none"}
          name="tilt"
          label="Tilt at rest, bars straight"
          inputMode="decimal"
          unit="°"
          value={room.tilt_deg === undefined ? "" : String(room.tilt_deg)}
          onFinish={(angle) => add("tilt", { angle })}
        />
      ) : null}
    </FitRoom>
  );
}
