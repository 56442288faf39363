import { useState } from "react";
import styled from "styled-components";
import { Refused, worded } from "../server/faults";
import type { Circuit, PartValue, PartView } from "../server/api";
import { Panel, Quiet } from "../kit/layout";
import { Notice } from "../kit/Notice";
import { Picker } from "../kit/Picker";
import { Room, Rooms } from "../kit/Rooms";
import { SearchField } from "../kit/SearchField";
import { PartStructure } from "./PartStructure";
import { PartValueRow } from "./PartValueRow";
import { partName } from "../words/partNames";
import { useCircuitWrites } from "./useCircuitWrites";
import { valueGroups } from "./valueGroups";
import { WhichSize } from "./WhichSize";

interface Props {
  machineId: string;
  circuit: Circuit;
  part: PartView;
  onPick: (id: string) => void;
}

const Rows = styled.ul`
  display: grid;
  gap: 0.9rem;
`;

/** Every value of one part with its source; a changed one is stored and everything that follows is worked out again. */
export function PartValues({ machineId, circuit, part, onPick }: Props) {
  const { change, replace } = useCircuitWrites(machineId, circuit);
  const refused = change.error instanceof Refused ? change.error.problem.errors[0] : undefined;
  const refusedField = change.variables?.field;
  const fault = replace.error ?? (refused ? null : change.error);
  const [typed, setTyped] = useState("");
  const { open, folded } = valueGroups(part.values, typed);
  const row = (value: PartValue) => (
    <PartValueRow
      key={value.field}
      value={value}
      error={refused && refusedField === value.field ? worded(refused) : undefined}
      onChange={(entered, source) =>
        change.mutate({ part: part.id, field: value.field, value: entered, source })
      }
    />
  );
  return (
    <Panel>
      <Picker
        label="Part"
        isLabelHidden
        options={circuit.figures.parts.map((each) => ({ id: each.id, label: partName(each) }))}
        value={part.id}
        onChange={onPick}
      />
      {fault ? <Notice tone="warn">{fault.message}</Notice> : null}
      {circuit.figures.questions
        .filter((question) => question.part === part.id)
        .map((question) => (
          <WhichSize
            key={question.field}
            question={question}
            onSettle={(value) =>
              change.mutate({ part: part.id, field: question.field, value, source: "part_marking" })
            }
          />
        ))}
      {part.part === "master" && circuit.figures.odd ? (
        <Notice tone="warn">{`${circuit.figures.odd}.`}</Notice>
      ) : null}
      <SearchField label="Find a value" value={typed} onChange={setTyped} />
      <Rows>{open.map(row)}</Rows>
      {folded.length > 0 ? (
        <Rooms>
          {folded.map((group) => (
            <Room key={group.id} id={group.id} title={group.title} said={`${group.values.length}`}>
              <Rows>{group.values.map(row)}</Rows>
            </Room>
          ))}
        </Rooms>
      ) : null}
      <PartStructure sheet={circuit.sheet} part={part} onReplace={(sheet) => replace.mutate({ sheet })} />
      <Quiet>
        Sizes may be typed with their unit: 5/8, 11/16 in, 0.55 in, 17,5. An emptied field goes back to its
        default.
      </Quiet>
    </Panel>
  );
}
