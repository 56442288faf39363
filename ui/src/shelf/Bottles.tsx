import styled from "styled-components";
import type { Knowledge, ShelfItem } from "../server/api";
import { useUnits } from "../server/useUnits";
import { BottleDrawing } from "../drawings/BottleDrawing";
import { daySaid } from "../kit/format";
import { Panel, Quiet } from "../kit/layout";
import { Mark } from "../kit/Mark";
import { BottleActions } from "./BottleActions";
import { Promised } from "./Promised";

const List = styled.ul`
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(min(23rem, 100%), 1fr));
  gap: 1.2rem;
`;

const Bottle = styled.div`
  display: grid;
  grid-template-columns: 64px minmax(0, 1fr);
  gap: 1.1rem;
  align-items: start;
  strong {
    font-size: 1.6rem;
    line-height: 1.1;
  }
`;

export function Bottles({ items, knowledge }: { items: ShelfItem[]; knowledge: Knowledge }) {
  const units = useUnits();
  return (
    <List aria-label="Fluid">
      {items.map((item) => {
        const fluid = knowledge.fluids.find((each) => each.id === item.fields["fluid"]);
        return (
          <li key={item.id}>
            <Panel>
              <Bottle>
                <BottleDrawing item={item} />
                <div>
                  <h2>{item.name}</h2>
                  <Quiet>{`${fluid?.label ?? ""}${item.place ? `, ${item.place}` : ""}`}</Quiet>
                  <p>
                    <strong>{units.say("volume", item.amount, 0)}</strong>
                    {` of ${units.say("volume", Number(item.fields["size"]), 0)}`}
                  </p>
                  <Quiet>{dates(item)}</Quiet>
                </div>
              </Bottle>
              {item.bottle?.refusal ? (
                <div>
                  <Mark kind="stop">Not to be used</Mark>
                  <p>{item.bottle.refusal}</p>
                </div>
              ) : (
                <div>
                  <Mark kind={item.opened_on ? "quiet" : "good"}>{item.opened_on ? "Opened" : "Sealed"}</Mark>
                </div>
              )}
              <Promised item={item} say={(amount) => units.say("volume", amount, 0)} />
              <BottleActions item={item} />
            </Panel>
          </li>
        );
      })}
    </List>
  );
}

function dates(item: ShelfItem): string {
  const parts = [
    item.opened_on ? `opened ${daySaid(item.opened_on)}` : undefined,
    item.bottle?.use_by ? `use by ${daySaid(item.bottle.use_by)}` : undefined,
    item.bottle?.discard_on ? `discard ${daySaid(item.bottle.discard_on)}` : undefined,
  ];
  return parts.filter(Boolean).join(", ");
}
