import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { knowledgeQuery, shelfQuery } from "../server/queries";
import { Button } from "../kit/Button";
import { Choice } from "../kit/Choice";
import { Loaded } from "../kit/Loaded";
import { Page, Quiet, Row } from "../kit/layout";
import { SearchField } from "../kit/SearchField";
import { useTitle } from "../kit/useTitle";
import { ListImport } from "../pieces/ListImport";
import { DamagedRows } from "../pieces/DamagedRows";
import type { ShelfItem } from "../server/api";
import { AddToShelf } from "./AddToShelf";
import { Bottles } from "./Bottles";
import { Pieces } from "./Pieces";

/** The kind that is looked at most, shown first. */
const FIRST = "bottle";

export function ShelfPage() {
  useTitle("Shelf");
  const shelf = useQuery(shelfQuery);
  const knowledge = useQuery(knowledgeQuery).data;
  const [kind, setKind] = useState(FIRST);
  const [typed, setTyped] = useState("");
  const [adds, setAdds] = useState(false);
  if (!knowledge) return null;
  const words = typed.toLowerCase().split(/\s+/).filter(Boolean);
  const isFound = (item: ShelfItem) =>
    words.every((word) => `${item.name} ${item.place ?? ""}`.toLowerCase().includes(word));
  const shown = knowledge.shelf_kinds.find((each) => each.id === kind);
  return (
    <Loaded query={shelf}>
      {({ items: all, damaged }) => {
        const items = all.filter(isFound);
        return (
          <Page>
            <Row>
              <h1>Shelf</h1>
              <Button tone={adds ? "plain" : "act"} onPress={() => setAdds(!adds)}>
                {adds ? "Close" : `Add: ${shown?.label ?? ""}`}
              </Button>
              <SearchField label="Find on the shelf" value={typed} onChange={setTyped} />
            </Row>
            <DamagedRows rows={damaged} />
            <Choice
              label="What is looked at"
              isLabelHidden
              options={knowledge.shelf_kinds.map((each) => ({
                id: each.id,
                label: `${each.plural} · ${items.filter((item) => item.kind === each.id).length}`,
              }))}
              value={kind}
              onChange={setKind}
            />
            {adds ? (
              <AddToShelf key={kind} kind={kind} knowledge={knowledge} onAdded={() => setAdds(false)} />
            ) : null}
            {items.every((item) => item.kind !== kind) ? (
              <Quiet>
                {words.length > 0
                  ? `${shown?.plural ?? "Things"}: none has these words.`
                  : `${shown?.plural ?? "Things"}: none on the shelf yet. Add the first with the button above.`}
              </Quiet>
            ) : kind === "bottle" ? (
              <Bottles items={items.filter((item) => item.kind === kind)} knowledge={knowledge} />
            ) : (
              <Pieces items={items.filter((item) => item.kind === kind)} knowledge={knowledge} />
            )}
            <ListImport
              of="shelf"
              title="A list of parts"
              columns="Columns: kind, name; and place, count, price, and the fields of each kind such as bore, metal, fluid, size."
            />
            <div>
              <a href="/api/shelf/shelf.csv" download>
                The whole shelf, CSV
              </a>
            </div>
          </Page>
        );
      }}
    </Loaded>
  );
}
