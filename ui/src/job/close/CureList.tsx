import type { Close } from "../../server/api";
import { Button } from "../../kit/Button";
import { Notice } from "../../kit/Notice";

interface Props {
  cures: Close["cures"];
  isOpen: boolean;
  onCure: (flag: string) => void;
}

/** What kept the machine here, and whether this job has put it right. */
export function CureList({ cures, isOpen, onCure }: Props) {
  return cures.map((cure) => (
    <Notice key={cure.id} tone="stop">
      <p>
        <strong>{cure.label}.</strong> Is it put right? {cure.lifts}
      </p>
      {isOpen ? (
        <Button aria-label={`${cure.label}: put right`} onPress={() => onCure(cure.id)}>
          Yes, it is put right
        </Button>
      ) : null}
    </Notice>
  ));
}
