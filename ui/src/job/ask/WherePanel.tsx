import type { Ask } from "../../server/api";
import { Quiet } from "../../kit/layout";
import { PlacePicker } from "../../pieces/PlacePicker";

interface Props {
  ask: Ask;
  isOpen: boolean;
  hasKeys: boolean;
  onChange: (places: string[]) => void;
}

/** Where the repair works, and what that opens. */
export function WherePanel({ ask, isOpen, hasKeys, onChange }: Props) {
  const { candidates, at, opens, wanted } = ask.where;
  const named = (ids: string[]) =>
    ids.map((id) => ask.places.find((place) => place.id === id)?.label ?? id).join(", ");
  const turn = (id: string) => {
    const kept = at.includes(id) ? at.filter((each) => each !== id) : [...at, id];
    if (kept.length > 0) onChange(kept);
  };
  return (
    <>
      {candidates.length > 1 ? (
        <>
          <h3>{wanted ? "Where is the work?" : `Works at: ${named(at)}`}</h3>
          {isOpen ? (
            <PlacePicker
              label="Where the repair works"
              places={ask.places}
              candidates={candidates}
              at={at}
              onPick={turn}
              hasKeys={hasKeys && wanted}
            />
          ) : null}
        </>
      ) : null}
      {opens.length > 0 && !wanted ? <Quiet>Opened: {named(opens)}.</Quiet> : null}
    </>
  );
}
