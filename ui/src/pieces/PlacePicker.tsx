import styled from "styled-components";
import type { Place } from "../server/api";
import { PlaceMap } from "../drawings/PlaceMap";
import { Button } from "../kit/Button";
import { useHotkeys } from "../kit/useHotkeys";
import type { Hotkeys } from "../kit/useHotkeys";

interface Props {
  label: string;
  places: Place[];
  /** Ids of those that can be picked. */
  candidates: string[];
  /** Ids of those that are picked. */
  at: string[];
  onPick: (id: string) => void;
  /** Digits pick: only one thing on a page may have them. */
  hasKeys: boolean;
}

const Beside = styled.div`
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 0.8rem;
  svg {
    max-height: 15rem;
    width: 100%;
  }
`;

const List = styled.div`
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(min(13rem, 100%), 1fr));
  gap: 0.4rem;
  > button {
    justify-content: start;
    text-align: left;
  }
`;

/** Where on the circuit: on its plan or from the list, by touch or digit. */
export function PlacePicker({ label, places, candidates, at, onPick, hasKeys }: Props) {
  const offered = candidates.flatMap((id) => places.filter((place) => place.id === id));
  const keys: Hotkeys = Object.fromEntries(
    offered.slice(0, 9).map((place, index) => [String(index + 1), () => onPick(place.id)]),
  );
  useHotkeys(hasKeys ? keys : {});
  return (
    <Beside role="group" aria-label={label}>
      <PlaceMap places={places} candidates={offered} at={at} onPick={onPick} />
      <List>
        {offered.map((place, index) => (
          <Button
            key={place.id}
            tone={at.includes(place.id) ? "act" : "plain"}
            aria-pressed={at.includes(place.id)}
            {...(hasKeys && index < 9 ? { hotkey: String(index + 1) } : {})}
            onPress={() => onPick(place.id)}
          >
            {hasKeys && index < 9 ? place.label : `${index + 1}  ${place.label}`}
          </Button>
        ))}
      </List>
    </Beside>
  );
}
