import { EntryField } from "../../kit/EntryField";
import { Quiet } from "../../kit/layout";

interface Props {
  notes: string[];
  isOpen: boolean;
  onAdd: (text: string) => void;
}

/** Free notes of the intake. */
export function Notes({ notes, isOpen, onAdd }: Props) {
  return (
    <>
      {notes.map((note, index) => (
        <Quiet key={index}>{note}</Quiet>
      ))}
      {isOpen ? <EntryField key={notes.length} label="Add a note" value="" onFinish={onAdd} /> : null}
    </>
  );
}
