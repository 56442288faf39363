import { useState } from "react";
import { useUnits } from "../../server/useUnits";
import { Choice } from "../../kit/Choice";
import { EntryField } from "../../kit/EntryField";
import { Big, Quiet } from "../../kit/layout";
import { Notice } from "../../kit/Notice";
import { ReasonButton } from "../../kit/ReasonButton";
import { useEntries } from "../useEntries";
import type { FitProps } from "./fitProps";
import { FitRoom } from "./FitRoom";

const PLACES = [
  { id: "tip", label: "At the tip" },
  { id: "piston", label: "At the piston" },
];

/** Free play at the piston or at the tip, each converted by the lever's ratio. */
export function FreePlayPanel({ job, fit, isOpen }: FitProps) {
  const { add } = useEntries(job, "fit");
  const units = useUnits();
  const play = fit.free_play;
  const [at, setAt] = useState<string>(play?.at ?? "tip");
  if (!play) return null;
  const before = play.before ?? [];
  const other = play.at === "tip" ? "piston" : "tip";
  return (
    <FitRoom fit={fit} id="free_play" title="Free play">
      <Quiet>{play.range}</Quiet>
      {before.length > 0 ? (
        <p>
          {"Before it moved: "}
          {before
            .map((figure) =>
              figure.dimension === "length"
                ? `${figure.label.toLowerCase()} ${units.say("length", figure.value ?? 0, 1)}`
                : `${figure.label.toLowerCase()} ${figure.value ?? 0}`,
            )
            .join("; ")}
          .
        </p>
      ) : null}
      {play.value_mm === undefined ? null : (
        <Big $size="2.2rem" data-figure="free-play">
          {units.bare("length", play.value_mm, 2)}
          <small>{` ${units.unit("length")} at the ${play.at ?? at}`}</small>
        </Big>
      )}
      {play.other_mm === undefined ? null : (
        <Quiet>{`${units.say("length", play.other_mm, 2)} at the ${other}, by the ratio.`}</Quiet>
      )}
      {play.says ? (
        <Notice tone={play.fine ? "warn" : "stop"} live>
          {play.says}
        </Notice>
      ) : null}
      {play.fine && play.due ? <Notice tone="warn">{`Once more: ${play.due}.`}</Notice> : null}
      {isOpen ? (
        <>
          <Choice label="Measured" options={PLACES} value={at} onChange={setAt} />
          <EntryField
            key={`${fit.recent.length}/${at}`}
            name="free_play"
            label={`Free play at the ${at}`}
            inputMode="decimal"
            unit={units.unit("length")}
            value=""
            onFinish={(text) => add("free_play", { at, value: units.typed("length", text) })}
          />
          {(play.verdict === "under" || play.verdict === "over") && !play.fine ? (
            <div>
              <ReasonButton
                button="The service information says otherwise"
                label="What it says"
                onReason={(reason) => add("by_service", { reason })}
              />
            </div>
          ) : null}
        </>
      ) : null}
    </FitRoom>
  );
}
