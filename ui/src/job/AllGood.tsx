import { Button } from "../kit/Button";

interface Props {
  place: string;
  /** What is good, each by its id. */
  ids: readonly string[];
  onGood: (id: string) => void;
}

/** One tap for all that is looked at in one place; nothing for a single look. */
export function AllGood({ place, ids, onGood }: Props) {
  if (ids.length < 2) return null;
  return (
    <div>
      <Button
        tone="act"
        aria-label={`${place}: all ${ids.length} good`}
        onPress={() => ids.forEach((id) => onGood(id))}
      >
        {`All ${ids.length} good`}
      </Button>
    </div>
  );
}
