import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { knowledgeQuery, shelfQuery } from "../server/queries";
import { Button } from "../kit/Button";
import { Choice } from "../kit/Choice";
import { Loaded } from "../kit/Loaded";
import { Page, Quiet, Row } from "../kit/layout";
import { useTitle } from "../kit/useTitle";
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
  const [adds, setAdds] = useState(false);
  if (!knowledge) return null;
  const shown = knowledge.shelf_kinds.find((each) => each.id === kind);
  return (
    <Loaded query={shelf}>
      {({ items }) => (
        <Page>
          <Row>
            <h1>Shelf</h1>
            <Button tone={adds ? "plain" : "act"} onPress={() => setAdds(!adds)}>
              {adds ? "Close" : `Add: ${shown?.label ?? ""}`}
            </Button>
          </Row>
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
            <Quiet>{`${shown?.plural ?? "Things"}: none on the shelf yet. Add the first with the button above.`}</Quiet>
          ) : kind === "bottle" ? (
            <Bottles items={items.filter((item) => item.kind === kind)} knowledge={knowledge} />
          ) : (
            <Pieces items={items.filter((item) => item.kind === kind)} knowledge={knowledge} />
          )}
        </Page>
      )}
    </Loaded>
  );
}
