import styled from "styled-components";
import { Refused, worded } from "../server/faults";
import type { Circuit, PartView } from "../server/api";
import { Panel, Quiet } from "../kit/layout";
import { Notice } from "../kit/Notice";
import { Picker } from "../kit/Picker";
import { PartStructure } from "./PartStructure";
import { PartValueRow } from "./PartValueRow";
import { partName } from "../words/partNames";
import { useCircuitWrites } from "./useCircuitWrites";
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
      <Rows>
        {part.values.map((value) => (
          <PartValueRow
            key={value.field}
            value={value}
            error={refused && refusedField === value.field ? worded(refused) : undefined}
            onChange={(typed, source) =>
              change.mutate({ part: part.id, field: value.field, value: typed, source })
            }
          />
        ))}
      </Rows>
      <PartStructure sheet={circuit.sheet} part={part} onReplace={(sheet) => replace.mutate({ sheet })} />
      <Quiet>
        Sizes may be typed with their unit: 5/8, 11/16 in, 0.55 in, 17,5. An emptied field goes back to its
        default.
      </Quiet>
    </Panel>
  );
}
