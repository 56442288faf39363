import { useRef, useState } from "react";
import { Link } from "react-router";
import type { Circuit } from "../server/api";
import { CircuitDrawing } from "../drawings/CircuitDrawing";
import { Button } from "../kit/Button";
import { downloadSvg } from "../kit/download";
import { EntryField } from "../kit/EntryField";
import { Later } from "../kit/Later";
import { Column, Panel, Quiet, Row, Split } from "../kit/layout";
import { Notice } from "../kit/Notice";
import { CircuitFigures } from "./CircuitFigures";
import { CircuitWarnings } from "./CircuitWarnings";
import { LeverHistory } from "./LeverHistory";
import { PartValues } from "./PartValues";
import { useCircuitWrites } from "./useCircuitWrites";

interface Props {
  machineId: string;
  circuit: Circuit;
  /** All of the machine. */
  circuits: Circuit[];
  onShow: (circuitId: string) => void;
}

/** A circuit drawn from its values; the values of the part that was picked; what follows from them. */
export function CircuitSheet({ machineId, circuit, circuits, onShow }: Props) {
  const [picked, setPicked] = useState(
    () => circuit.figures.parts.find((each) => each.part === "master")?.id,
  );
  const drawing = useRef<SVGSVGElement>(null);
  const { replace: rename } = useCircuitWrites(machineId, circuit);
  const { figures } = circuit;
  const { other_control: other } = circuit;
  const drawnWith = circuits.find((each) => each.id === other?.id);
  const part = figures.parts.find((each) => each.id === picked) ?? figures.parts[0];
  return (
    <Split $left="1.45fr">
      <Column>
        <Panel>
          {rename.isError ? <Notice tone="warn">{rename.error.message}</Notice> : null}
          <h2>{circuit.name}</h2>
          <CircuitDrawing
            ref={drawing}
            figures={figures}
            picked={part?.id}
            onPick={setPicked}
            other={
              other && drawnWith
                ? { name: other.name, figures: drawnWith.figures, isInLine: other.in_line }
                : undefined
            }
            onOther={() => other && onShow(other.id)}
          />
          {other ? (
            <Quiet>
              Two controls work this far end. Hoses, calipers and fluid are the same in both circuits: a
              change here is a change in “{other.name}”.
            </Quiet>
          ) : null}
          <CircuitWarnings figures={figures} />
          <CircuitFigures figures={figures} />
          <EntryField
            key={circuit.name}
            label="Circuit is called"
            value={circuit.name}
            onFinish={(name) => rename.mutate({ name })}
          />
          <Row>
            <Button onPress={() => downloadSvg("circuit", drawing.current)}>SVG of the circuit</Button>
            <Link to={`/sizer?circuit=${circuit.id}`}>Open in the Sizer</Link>
            <Link to={`/look-up?circuit=${circuit.id}`}>Look something up</Link>
          </Row>
        </Panel>
        <LeverHistory circuitId={circuit.id} control={figures.control} />
      </Column>
      {part ? (
        <Later>
          <PartValues key={part.id} machineId={machineId} circuit={circuit} part={part} onPick={setPicked} />
        </Later>
      ) : null}
    </Split>
  );
}
