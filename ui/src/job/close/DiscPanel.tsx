import { Quiet, Row } from "../../kit/layout";
import { Room } from "../../kit/Rooms";
import type { Close } from "../../server/api";
import { useUnits } from "../../server/useUnits";
import { MeasuredLength } from "../MeasuredLength";
import { Fault } from "./Fault";

type Figure = "thickness" | "least";

interface Props {
  discs: NonNullable<Close["discs"]>;
  isOpen: boolean;
  onMeasure: (part: string, figure: Figure, value: string) => void;
}

/** How thick the discs are at their thinnest place, against the least that is marked on them. */
export function DiscPanel({ discs, isOpen, onMeasure }: Props) {
  return (
    <Room id="discs" title={discs.items.length > 1 ? "Discs" : "Disc"}>
      <Fault of={discs.fault} />
      {isOpen ? (
        <Quiet>
          Measure with a micrometer at four places, inside any ridge at the rim. The least thickness is marked
          on the disc, or stands in the service information.
        </Quiet>
      ) : null}
      {discs.items.map((disc) => (
        <Row key={disc.id}>
          <Length
            disc={disc}
            figure="thickness"
            label="disc at its thinnest place"
            {...{ isOpen, onMeasure }}
          />
          <Length disc={disc} figure="least" label="least thickness" {...{ isOpen, onMeasure }} />
        </Row>
      ))}
    </Room>
  );
}

interface LengthProps {
  disc: Props["discs"]["items"][number];
  figure: Figure;
  label: string;
  isOpen: boolean;
  onMeasure: Props["onMeasure"];
}

function Length({ disc, figure, label, isOpen, onMeasure }: LengthProps) {
  const units = useUnits();
  const mm = figure === "thickness" ? disc.thickness_mm : disc.least_mm;
  if (!isOpen)
    return (
      <p>{`${disc.label}, ${label}: ${mm === undefined ? "not measured" : units.say("length", mm, 2)}`}</p>
    );
  return (
    <MeasuredLength
      label={`${disc.label}: ${label}`}
      name={`${figure}-${disc.id}`}
      value={mm}
      decimals={2}
      onMeasure={(typed) => onMeasure(disc.id, figure, typed)}
    />
  );
}
