import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import type { Job } from "../../app/api";
import { sizingQuery } from "../../app/queries";
import type { SizeTyped } from "../../app/queries";
import { SizingPlot } from "../../drawings/SizingPlot";
import { EntryField } from "../../kit/EntryField";
import { Panel, Quiet } from "../../kit/layout";
import { Notice } from "../../kit/Notice";
import { useEntries } from "../useEntries";
import { PickedCylinder } from "./PickedCylinder";
import { SizingTable } from "./SizingTable";

const BY = /\s*[x×*]\s*/i;

/** The fitted cylinder beside candidates. */
export function SizingPanel({ job }: { job: Job }) {
  const [own, setOwn] = useState<SizeTyped[]>([]);
  const [fault, setFault] = useState<string>();
  const [pickedSize, setPickedSize] = useState<string>();
  const { add } = useEntries(job, "choose");
  const usual = useQuery(sizingQuery(job.sheet, []));
  const added = useQuery({ ...sizingQuery(job.sheet, own), enabled: own.length > 0 });
  const sizing = usual.data;
  if (!sizing)
    return (
      <Panel>
        {usual.isError ? <Notice tone="stop">{usual.error.message}</Notice> : <Quiet>Working it out…</Quiet>}
      </Panel>
    );
  const rows = [
    ...sizing.rows,
    ...(own.length > 0 ? (added.data?.rows.filter((row) => !row.fitted) ?? []) : []),
  ];
  const picked = rows.find((row) => sizeKey(row) === pickedSize);
  const addOwn = (text: string) => {
    const [bore, offset] = text.trim().split(BY);
    if (!bore || !offset) return setFault("Written bore × offset, such as 17.46 x 18 or 5/8 x 20.");
    setFault(undefined);
    setOwn((sizes) => [...sizes, { bore, push_offset: offset }]);
  };
  return (
    <Panel>
      <h2>Cylinder: effort against travel</h2>
      <Quiet>{`At the ${sizing.why}. The box is what is wanted; figures marked default are not a specification.`}</Quiet>
      <SizingPlot sizing={sizing} rows={rows} picked={pickedSize} onPick={setPickedSize} />
      <PickedCylinder
        job={job}
        row={picked}
        onTake={(agreed) =>
          picked &&
          add("cylinder", {
            bore: picked.bore_mm,
            push_offset: picked.push_offset_mm,
            ...(agreed ? { agreed } : {}),
          })
        }
      />
      <SizingTable rows={rows} picked={pickedSize} onPick={setPickedSize} />
      <EntryField
        key={own.length}
        label="Try another, bore × offset"
        value=""
        error={fault ?? (added.isError ? added.error.message : undefined)}
        onFinish={addOwn}
      />
      {added.isError ? <Notice tone="warn">{added.error.message}</Notice> : null}
    </Panel>
  );
}

export function sizeKey(row: { bore_mm: number; push_offset_mm: number }): string {
  return `${row.bore_mm}x${row.push_offset_mm}`;
}
