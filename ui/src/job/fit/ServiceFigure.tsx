import { useState } from "react";
import type { TorqueLine } from "../../server/api";
import { useUnits } from "../../server/useUnits";
import { Button } from "../../kit/Button";
import { EntryField } from "../../kit/EntryField";
import { Row } from "../../kit/layout";
import { useEntries } from "../useEntries";
import type { FitProps } from "./fitProps";

/** The figure of the service information: one, or lowest and highest. It goes into the machine's record. */
export function ServiceFigure({ job, line }: Pick<FitProps, "job"> & { line: TorqueLine }) {
  const { add } = useEntries(job, "fit");
  const units = useUnits();
  const [isAsked, setIsAsked] = useState(line.range === undefined);
  const [from, setFrom] = useState("");
  const [to, setTo] = useState("");
  if (!isAsked)
    return (
      <div>
        <Button onPress={() => setIsAsked(true)}>Enter the service figure</Button>
      </div>
    );
  const keep = () => {
    const figures = {
      from: units.typed("torque", from),
      ...(to.trim() ? { to: units.typed("torque", to) } : {}),
    };
    add("figure", { fastener: line.id, ...figures });
    setIsAsked(false);
  };
  const unit = units.unit("torque");
  return (
    <>
      <Row>
        <EntryField
          name="figure"
          label="Service figure, or the lowest"
          inputMode="decimal"
          unit={unit}
          value={from}
          onFinish={setFrom}
        />
        <EntryField
          label="The highest, if given"
          inputMode="decimal"
          unit={unit}
          value={to}
          onFinish={setTo}
        />
      </Row>
      <div>
        <Button tone="act" isDisabled={from.trim() === ""} onPress={keep}>
          Use this figure
        </Button>
      </div>
    </>
  );
}
