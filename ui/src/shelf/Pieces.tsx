import { useState } from "react";
import styled from "styled-components";
import { useQuery } from "@tanstack/react-query";
import type { Knowledge, ShelfItem } from "../server/api";
import { shopQuery } from "../server/queries";
import { useUnits } from "../server/useUnits";
import { Button } from "../kit/Button";
import { EntryField } from "../kit/EntryField";
import { money } from "../kit/money";
import { Panel, Quiet, Row } from "../kit/layout";
import { Notice } from "../kit/Notice";
import { fieldsSaid } from "./fieldsSaid";
import { ItemButtons } from "./ItemButtons";
import { ItemRecord } from "./ItemRecord";
import { Promised } from "./Promised";
import { useMoves } from "./useMoves";

const Item = styled.li`
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  gap: 0.4rem 1.5rem;
  align-items: center;
  padding: 0.9rem 0;
  border-top: 1px solid ${(p) => p.theme.line};
  &:first-child {
    border-top: 0;
  }
  @media (max-width: 60rem) {
    grid-template-columns: minmax(0, 1fr);
  }
`;

const Count = styled.div`
  width: 7.5rem;
`;

export function Pieces({ items, knowledge }: { items: ShelfItem[]; knowledge: Knowledge }) {
  return (
    <Panel>
      <ul aria-label="On the shelf">
        {items.map((item) => (
          <Piece key={item.id} item={item} knowledge={knowledge} />
        ))}
      </ul>
    </Panel>
  );
}

function Piece({ item, knowledge }: { item: ShelfItem; knowledge: Knowledge }) {
  const move = useMoves();
  const units = useUnits();
  const [shows, setShows] = useState(false);
  const currency = useQuery(shopQuery).data?.currency ?? "EUR";
  const make = (kind: string, data: Record<string, unknown>) => move.mutate({ item: item.id, kind, data });
  const price = item.price_minor === undefined ? undefined : money(item.price_minor, currency);
  return (
    <Item>
      <div>
        <h2>{item.name}</h2>
        <p>{fieldsSaid(item, knowledge, units)}</p>
        <Quiet>{[item.place, price].filter(Boolean).join(", ")}</Quiet>
        <Promised item={item} say={(amount) => String(amount)} />
        {move.isError ? <Notice tone="warn">{move.error.message}</Notice> : null}
      </div>
      <Row $gap={1}>
        <Count>
          <EntryField
            key={item.amount}
            label={`Pieces of ${item.name}`}
            isLabelHidden
            inputMode="decimal"
            unit="pieces"
            value={String(item.amount)}
            onFinish={(count) => make("counted", { count })}
          />
        </Count>
        <Button aria-label={`One more of ${item.name}`} onPress={() => make("received", { count: 1 })}>
          +1
        </Button>
        <ItemButtons
          item={item}
          shows={shows}
          onShow={setShows}
          onDiscard={(reason) => make("discarded", { reason })}
        />
      </Row>
      {shows ? <ItemRecord item={item} /> : null}
    </Item>
  );
}
