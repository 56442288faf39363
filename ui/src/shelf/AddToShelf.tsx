import { useState } from "react";
import styled from "styled-components";
import { Refused, worded } from "../server/faults";
import type { Knowledge } from "../server/api";
import { Button } from "../kit/Button";
import { EntryField } from "../kit/EntryField";
import { Panel } from "../kit/layout";
import { Notice } from "../kit/Notice";
import { KitContentsField } from "./KitContentsField";
import type { Contents } from "./KitContentsField";
import { ShelfField } from "./ShelfField";
import { useMoves } from "./useMoves";

interface Props {
  kind: string;
  knowledge: Knowledge;
  onAdded: () => void;
}

const Grid = styled.div`
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(15rem, 1fr));
  gap: 1rem 1.4rem;
`;

export function AddToShelf({ kind, knowledge, onAdded }: Props) {
  const move = useMoves();
  const [plain, setPlain] = useState<Record<string, string>>({});
  const [fields, setFields] = useState<Record<string, string>>({});
  const [contents, setContents] = useState<Contents>({});
  const rows = knowledge.shelf_fields.filter((row) => row.kind === kind);
  const refused = move.error instanceof Refused ? move.error.problem.errors : [];
  const errorAt = (name: string) => {
    const found = refused.find((error) => error.pointer.startsWith(`data/${name}`));
    return found ? worded(found) : undefined;
  };
  const set = (name: string) => (text: string) => setPlain({ ...plain, [name]: text });
  const counted = knowledge.shelf_kinds.find((each) => each.id === kind)?.counted === "pieces";
  const add = () =>
    move.mutate(
      {
        item: crypto.randomUUID(),
        kind: "added",
        data: {
          kind,
          name: plain["name"] ?? "",
          ...given({
            place: plain["place"],
            supplier: plain["supplier"],
            price_minor: plain["price"],
            count: plain["count"],
          }),
          fields: { ...given(fields), ...(kind === "kit" ? { contents } : {}) },
        },
      },
      { onSuccess: onAdded },
    );
  return (
    <Panel>
      {move.isError ? (
        <Notice tone="warn" live>
          {move.error.message}
        </Notice>
      ) : null}
      <Grid>
        <EntryField label="Name" value={plain["name"] ?? ""} error={errorAt("name")} onFinish={set("name")} />
        {rows
          .filter((row) => row.rule.type !== "contents")
          .map((row) => (
            <ShelfField
              key={row.field}
              row={row}
              knowledge={knowledge}
              value={fields[row.field] ?? ""}
              error={errorAt(`fields/${row.field}`)}
              onChange={(value) => setFields({ ...fields, [row.field]: value })}
            />
          ))}
        <EntryField
          label="Place"
          value={plain["place"] ?? ""}
          error={errorAt("place")}
          onFinish={set("place")}
        />
        <EntryField
          label="Supplier (if known)"
          value={plain["supplier"] ?? ""}
          error={errorAt("supplier")}
          onFinish={set("supplier")}
        />
        <EntryField
          label="Price"
          inputMode="decimal"
          value={plain["price"] ?? ""}
          error={errorAt("price_minor")}
          onFinish={set("price")}
        />
        {counted ? (
          <EntryField
            label="How many"
            inputMode="decimal"
            value={plain["count"] ?? "1"}
            error={errorAt("count")}
            onFinish={set("count")}
          />
        ) : null}
      </Grid>
      {kind === "kit" ? (
        <KitContentsField knowledge={knowledge} contents={contents} onChange={setContents} />
      ) : null}
      <div>
        <Button tone="act" isDisabled={move.isPending} onPress={add}>
          Put it on the shelf
        </Button>
      </div>
    </Panel>
  );
}

/** Only what has been filled in. */
function given(values: Record<string, string | undefined>): Record<string, string> {
  return Object.fromEntries(
    Object.entries(values).filter((entry): entry is [string, string] => Boolean(entry[1]?.trim())),
  );
}
