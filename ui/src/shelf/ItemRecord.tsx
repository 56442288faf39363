import { useInfiniteQuery } from "@tanstack/react-query";
import styled from "styled-components";
import type { ShelfItem } from "../server/api";
import { pagesOf } from "../server/pagesOf";
import { movesQuery } from "../server/queries";
import { MoreButton } from "../kit/MoreButton";
import { EntryField } from "../kit/EntryField";
import { whenSaid } from "../kit/format";
import { moneyTyped } from "../kit/money";
import { Quiet, Row, TextLink } from "../kit/layout";
import { Notice } from "../kit/Notice";
import { useMoves } from "./useMoves";

const Wide = styled.div`
  grid-column: 1 / -1;
  display: grid;
  gap: 0.8rem;
  padding: 0.6rem 0;
`;

/** What a thing is called, where it lies, where it was bought and for how much, to be put right; and all that happened to it. */
export function ItemRecord({ item }: { item: ShelfItem }) {
  const move = useMoves();
  const { items: moves, more } = pagesOf(useInfiniteQuery(movesQuery(item.id)));
  const describe = (data: Record<string, unknown>) => move.mutate({ item: item.id, kind: "described", data });
  return (
    <Wide>
      {move.isError ? <Notice tone="warn">{move.error.message}</Notice> : null}
      <Row>
        <EntryField label="Name" value={item.name} onFinish={(name) => describe({ name })} />
        <EntryField label="Place" value={item.place ?? ""} onFinish={(place) => describe({ place })} />
        <EntryField
          label="Supplier"
          value={item.supplier ?? ""}
          onFinish={(supplier) => describe({ supplier })}
        />
        <EntryField
          label="Price"
          inputMode="decimal"
          value={item.price_minor === undefined ? "" : moneyTyped(item.price_minor)}
          onFinish={(price) => describe({ price_minor: price })}
        />
      </Row>
      {item.kind === "bottle" || item.kind === "kit" ? (
        <div>
          <TextLink href={`/api/shelf/${item.id}/label.pdf`}>Label as PDF</TextLink>
        </div>
      ) : null}
      <ul>
        {moves.map((each) => (
          <li key={each.id}>
            <Quiet>{`${whenSaid(each.at)}: ${each.kind}${said(each.data)}`}</Quiet>
          </li>
        ))}
      </ul>
      <MoreButton onMore={more}>Show older moves</MoreButton>
    </Wide>
  );
}

/** The figures of a move, as short as they can be said. */
function said(data: Record<string, unknown>): string {
  const shown = ["count", "ml", "on", "reason", "name", "place", "supplier"].filter(
    (name) => data[name] !== undefined,
  );
  return shown.length > 0 ? ` ${shown.map((name) => String(data[name])).join(", ")}` : "";
}
