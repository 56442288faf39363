import { useState } from "react";
import type { Bleed, Job } from "../../server/api";
import { useUnits } from "../../server/useUnits";
import { Button } from "../../kit/Button";
import { EntryField } from "../../kit/EntryField";
import { Quiet, Row } from "../../kit/layout";
import { unhurried } from "../../kit/unhurried";
import { useEntries } from "../useEntries";

interface Props {
  job: Job;
  bleed: Bleed;
  isOpen: boolean;
}

/** What the jar holds says what a stroke really moves. */
export const JarEntry = unhurried(function JarEntry({ job, bleed, isOpen }: Props) {
  const units = useUnits();
  const { add } = useEntries(job, "bleed");
  const [turn, setTurn] = useState(0);
  const read = (text: string, emptied: boolean) => {
    add("jar", { ml: units.typed("volume", text), ...(emptied ? { emptied: true } : {}) });
    setTurn(turn + 1);
  };
  const [held, setHeld] = useState<string>();
  return (
    <Row key={turn} style={{ alignItems: "end" }}>
      {isOpen ? (
        <>
          <EntryField
            label="The jar holds"
            name="jar"
            unit={units.unit("volume")}
            inputMode="decimal"
            value=""
            onFinish={setHeld}
          />
          <Button isDisabled={held === undefined} onPress={() => held && read(held, false)}>
            Use this to calibrate the stroke
          </Button>
          <Button isDisabled={held === undefined} onPress={() => held && read(held, true)}>
            And emptied
          </Button>
        </>
      ) : null}
      <Quiet style={{ alignSelf: "center" }}>
        {bleed.jar.says ?? `${units.say("volume", bleed.stroke_ml, 2)} a full stroke, computed.`}
      </Quiet>
    </Row>
  );
});
