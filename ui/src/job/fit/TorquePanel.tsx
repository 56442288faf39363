import { useState } from "react";
import type { TorqueLine } from "../../server/api";
import { useUnits } from "../../server/useUnits";
import { Button } from "../../kit/Button";
import { Quiet, Row, TextButton } from "../../kit/layout";
import { Table } from "../../kit/Table";
import { Mark } from "../../kit/Mark";
import { Picker } from "../../kit/Picker";
import { useEntries } from "../useEntries";
import type { FitProps } from "./fitProps";
import { FitRoom } from "./FitRoom";
import { TorqueReading } from "./TorqueReading";
import { torqueState } from "./torqueState";

/** Every fastener this job loosened or fitted, once each, in the order of tightening. */
export function TorquePanel({ job, fit, isOpen }: FitProps) {
  const [picked, setPicked] = useState<string>();
  if (fit.torques.length === 0 && fit.others.length === 0) return null;
  const atHand = (line: TorqueLine) => !fit.bleeds || line.when === fit.phase;
  const line =
    fit.torques.find((each) => each.id === picked) ?? fit.torques.find((each) => atHand(each) && !each.done);
  return (
    <FitRoom fit={fit} id="torque" title="Torque">
      <Quiet>
        Dry and clean unless the service information says otherwise. Its figure comes before any default here.
      </Quiet>
      {isOpen && line ? (
        <TorqueReading key={line.id} job={job} fit={fit} line={line} onTaken={() => setPicked(undefined)} />
      ) : null}
      <Table aria-label="Torque list">
        <thead>
          <tr>
            <th>Fastener</th>
            <th>Range</th>
            <th>Read</th>
            <th>State</th>
          </tr>
        </thead>
        <tbody>
          {fit.torques.map((each) => (
            <Line
              key={each.id}
              line={each}
              isOpen={isOpen}
              bleeds={fit.bleeds}
              onPick={() => setPicked(each.id)}
            />
          ))}
        </tbody>
      </Table>
      {isOpen && fit.others.length > 0 ? <Loosened job={job} fit={fit} /> : null}
    </FitRoom>
  );
}

interface LineProps {
  line: TorqueLine;
  isOpen: boolean;
  bleeds: boolean;
  onPick: () => void;
}

function Line({ line, isOpen, bleeds, onPick }: LineProps) {
  const units = useUnits();
  const state = torqueState(line, bleeds);
  const range = line.range;
  return (
    <tr>
      <td className="words">
        {isOpen ? (
          <TextButton type="button" aria-label={`Tighten: ${line.label}`} onClick={onPick}>
            {line.label}
          </TextButton>
        ) : (
          line.label
        )}
      </td>
      <td>
        {range ? (
          <>
            {`${units.bare("torque", range.from_nm, 1)} to ${units.say("torque", range.to_nm, 1)}`}
            <br />
            <small>{range.source === "service_info" ? "service information" : "default"}</small>
          </>
        ) : (
          "none"
        )}
      </td>
      <td>
        {line.value_nm === undefined ? "" : units.say("torque", line.value_nm, 1)}
        {line.tool ? (
          <>
            <br />
            <small>{line.tool}</small>
          </>
        ) : null}
      </td>
      <td>
        <Mark kind={state.kind}>{state.word}</Mark>
      </td>
    </tr>
  );
}

/** Something that is not on the list was loosened too. */
function Loosened({ job, fit }: Pick<FitProps, "job" | "fit">) {
  const { add } = useEntries(job, "fit");
  const [fastener, setFastener] = useState("");
  return (
    <Row>
      <Picker
        label="Also loosened"
        options={[{ id: "", label: "nothing else" }, ...fit.others]}
        value={fastener}
        onChange={setFastener}
      />
      {fastener ? (
        <Button
          onPress={() => {
            add("loosened", { fastener });
            setFastener("");
          }}
        >
          Add to the list
        </Button>
      ) : null}
    </Row>
  );
}
