import { useState } from "react";
import type { Close, Job } from "../../server/api";
import { Button } from "../../kit/Button";
import { whenSaid } from "../../kit/format";
import { Quiet } from "../../kit/layout";
import { Mark } from "../../kit/Mark";
import { PersonField } from "../../pieces/PersonField";

interface Props {
  job: Job;
  close: Close;
  onSign: (name: string) => void;
}

export function Signature({ job, close, onSign }: Props) {
  const [name, setName] = useState("");
  if (job.signed) {
    return (
      <>
        <h2>Signed off</h2>
        <p>
          <Mark kind="good">{close.signed_by ?? ""}</Mark>
        </p>
        <Quiet>
          {close.signed_at ? whenSaid(close.signed_at) : ""}. Look at joints and level again after 24 h.
        </Quiet>
      </>
    );
  }
  const unmet = close.gates.filter((gate) => !gate.met).length;
  return (
    <>
      <h2>Who signs</h2>
      <PersonField label="Name" value={name} power="signs" onPick={setName} />
      <Button tone="act" isDisabled={!close.ready || name.trim() === ""} onPress={() => onSign(name.trim())}>
        Sign and release
      </Button>
      {close.ready ? null : (
        <Quiet>
          {unmet === 1 ? "One gate is" : `${unmet} gates are`} still open. Until then the machine is not to be
          used.
        </Quiet>
      )}
    </>
  );
}
