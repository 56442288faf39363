import { useState } from "react";
import styled from "styled-components";
import type { Candidate } from "../server/api";
import { EntryField } from "../kit/EntryField";
import { Picker } from "../kit/Picker";
import { changeAll, sizeTyped } from "./candidates";
import type { SizingState } from "./useSizing";

const Line = styled.div`
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(13rem, 1fr));
  gap: 0.8rem;
  align-items: end;
`;

const HOSES = ["rubber", "braided", "nylon", "braided_bicycle", "steel"];

/** Adds to the comparison: the user's own cylinder, other hoses, other calipers, another slave. */
export function WhatIf({ sizing }: { sizing: SizingState }) {
  const [fault, setFault] = useState<string>();
  const { sheet } = sizing.request;
  const isClutch = sheet.parts.some((part) => part.part === "slave");
  const key = (stem: string) => `${stem}.${sizing.own.length + 1}`;
  const addSize = (text: string) => {
    const size = sizeTyped(text);
    setFault(size ? undefined : "Written bore × offset, such as 17.46 x 18 or 5/8 x 20.");
    if (size) sizing.add({ key: key("own"), ...size });
  };
  const addChange = (label: string, changes: NonNullable<Candidate["changes"]>) =>
    sizing.add({ key: key("what-if"), label, changes });
  return (
    <Line>
      <EntryField
        key={`size-${sizing.own.length}`}
        label="Try another, bore × offset"
        value=""
        error={fault}
        onFinish={addSize}
      />
      <Picker
        label="What if the hoses were"
        options={[
          { id: "as_fitted", label: "as fitted" },
          ...HOSES.map((id) => ({ id, label: id.replace("_", " ") })),
        ]}
        value="as_fitted"
        onChange={(kind) =>
          addChange(`${kind.replace("_", " ")} hoses`, changeAll(sheet, "line", "kind", kind))
        }
      />
      {isClutch ? (
        <EntryField
          key={`slave-${sizing.own.length}`}
          label="What if the slave's bore were"
          value=""
          onFinish={(bore) => addChange(`${bore} slave`, changeAll(sheet, "slave", "bore", bore))}
        />
      ) : (
        <EntryField
          key={`caliper-${sizing.own.length}`}
          label="What if the calipers had pistons"
          value=""
          onFinish={(pistons) =>
            addChange(`pistons ${pistons}`, changeAll(sheet, "caliper", "pistons", pistons))
          }
        />
      )}
    </Line>
  );
}
