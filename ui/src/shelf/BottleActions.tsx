import { useState } from "react";
import type { ShelfItem } from "../server/api";
import { useUnits } from "../server/useUnits";
import { Button } from "../kit/Button";
import { EntryField } from "../kit/EntryField";
import { Row } from "../kit/layout";
import { Notice } from "../kit/Notice";
import { ItemButtons } from "./ItemButtons";
import { ItemRecord } from "./ItemRecord";
import { useMoves } from "./useMoves";

export function BottleActions({ item }: { item: ShelfItem }) {
  const move = useMoves();
  const units = useUnits();
  const [measures, setMeasures] = useState(false);
  const [shows, setShows] = useState(false);
  const make = (kind: string, data: Record<string, unknown> = {}) =>
    move.mutate({ item: item.id, kind, data });
  return (
    <>
      {move.isError ? <Notice tone="warn">{move.error.message}</Notice> : null}
      <Row $gap={1}>
        {item.opened_on ? (
          <Button onPress={() => setMeasures(!measures)}>{measures ? "Close" : "Set what is left"}</Button>
        ) : (
          <Button onPress={() => make("opened", { on: today() })}>Open today</Button>
        )}
        {item.shaken_at ? (
          <Button onPress={() => make("rested")}>Stood, no bubbles</Button>
        ) : (
          <Button onPress={() => make("shaken")}>Was shaken</Button>
        )}
        <ItemButtons
          item={item}
          shows={shows}
          onShow={setShows}
          onDiscard={(reason) => make("discarded", { reason })}
        />
      </Row>
      {shows ? <ItemRecord item={item} /> : null}
      {measures ? (
        <EntryField
          key={item.amount}
          label={`Left in ${item.name}`}
          inputMode="decimal"
          unit={units.unit("volume")}
          value={units.size("volume", Number(item.amount.toFixed(1)))}
          onFinish={(text) => make("measured", { ml: units.typed("volume", text) })}
        />
      ) : null}
    </>
  );
}

function today(): string {
  return new Date().toISOString().slice(0, 10);
}
