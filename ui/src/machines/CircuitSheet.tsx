import { useState } from "react";
import type { Circuit } from "../app/api";
import { CircuitDrawing } from "../drawings/CircuitDrawing";
import { Panel, Split } from "../kit/layout";
import { CircuitFigures } from "./CircuitFigures";
import { PartValues } from "./PartValues";

interface Props {
  machineId: string;
  circuit: Circuit;
}

/** A circuit drawn from its values; the values of the part that was picked; what follows from them. */
export function CircuitSheet({ machineId, circuit }: Props) {
  const [picked, setPicked] = useState("master");
  const { figures } = circuit;
  const part = figures.parts.find((each) => each.id === picked) ?? figures.parts[0];
  return (
    <Split $left="1.45fr">
      <Panel>
        <h2>{circuit.name}</h2>
        <CircuitDrawing parts={figures.parts} picked={part?.id} onPick={setPicked} />
        <CircuitFigures figures={figures} />
      </Panel>
      {part ? (
        <PartValues key={part.id} machineId={machineId} circuit={circuit} part={part} onPick={setPicked} />
      ) : null}
    </Split>
  );
}
