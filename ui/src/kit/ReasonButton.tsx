import { useState } from "react";
import { Button } from "./Button";
import { EntryField } from "./EntryField";

interface Props {
  /** What the button says, and what is asked once it is pressed. */
  button: string;
  label: string;
  onReason: (reason: string) => void;
  isDisabled?: boolean;
}

/** Something that is only done for a reason in words. */
export function ReasonButton({ button, label, onReason, isDisabled = false }: Props) {
  const [asks, setAsks] = useState(false);
  const finish = (reason: string) => {
    if (reason.trim() === "") return;
    setAsks(false);
    onReason(reason);
  };
  return (
    <>
      <Button isDisabled={isDisabled} onPress={() => setAsks(!asks)}>
        {button}
      </Button>
      {asks && !isDisabled ? <EntryField label={label} value="" onFinish={finish} /> : null}
    </>
  );
}
