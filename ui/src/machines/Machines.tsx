import { useInfiniteQuery, useQuery } from "@tanstack/react-query";
import { useDeferredValue, useState } from "react";
import { Link } from "react-router";
import styled from "styled-components";
import { Button } from "../kit/Button";
import { Choice } from "../kit/Choice";
import { Loaded } from "../kit/Loaded";
import { Page, Panel, Quiet, Row } from "../kit/layout";
import { Mark } from "../kit/Mark";
import { SearchField } from "../kit/SearchField";
import { useTitle } from "../kit/useTitle";
import { DamagedRows } from "../pieces/DamagedRows";
import { ListImport } from "../pieces/ListImport";
import type { MachineKind, MachineLine } from "../server/api";
import { pagesOf } from "../server/pagesOf";
import { knowledgeQuery, machinesQuery } from "../server/queries";
import { AddMachine } from "./AddMachine";
import { WorstLevers } from "./WorstLevers";

const List = styled.ul`
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(min(100%, 26rem), 1fr));
  gap: 0 2rem;
`;

const Line = styled.li`
  border-top: 1px solid ${(p) => p.theme.line};
  padding: 0.7rem 0;
  h2 a {
    color: inherit;
    text-decoration: none;
  }
  ul {
    display: flex;
    flex-wrap: wrap;
    gap: 0 1.2rem;
  }
  li a {
    display: inline-flex;
    align-items: center;
    min-height: 3rem;
  }
`;

const EVERY = "all";

const ORDERS = [
  { id: "names", label: "By name" },
  { id: "levers", label: "Worst lever first" },
];
type Order = "names" | "levers";

/** Every machine, found by typing and by kind. */
export function Machines() {
  useTitle("Machines");
  const [retired, setRetired] = useState(false);
  const [typed, setTyped] = useState("");
  const [kind, setKind] = useState<MachineKind>();
  const [order, setOrder] = useState<Order>("names");
  const find = useDeferredValue(typed.trim());
  const query = useInfiniteQuery(machinesQuery({ find, kind, retired }));
  const kinds = useQuery(knowledgeQuery).data?.machine_kinds ?? [];
  const { items, more } = pagesOf(query);
  return (
    <Loaded query={query}>
      {({ pages }) => {
        const counts = pages[0]?.counts ?? {};
        const isEmpty = items.length === 0 && find === "" && kind === undefined;
        return (
          <Page>
            <h1>Machines</h1>
            {isEmpty ? null : (
              <Choice
                label="Order"
                isLabelHidden
                options={ORDERS}
                value={order}
                onChange={(id) => setOrder(id as Order)}
              />
            )}
            {isEmpty ? (
              <Quiet>
                No machines yet. A machine has circuits, each with its record and its jobs. Add the first one.
              </Quiet>
            ) : order === "levers" ? (
              <Panel>
                <WorstLevers />
              </Panel>
            ) : (
              <Panel>
                <Row>
                  <SearchField label="Find a machine" value={typed} onChange={setTyped} />
                  <Kinds kinds={kinds} counts={counts} kind={kind} onPick={setKind} />
                </Row>
                {items.length === 0 ? <Quiet>No machines match.</Quiet> : null}
                <List>
                  {items.map((machine) => (
                    <MachineRow
                      key={machine.id}
                      machine={machine}
                      kind={kinds.find((each) => each.id === machine.kind)?.label}
                    />
                  ))}
                </List>
                <Row $gap={1}>
                  {more ? <Button onPress={more}>Show more</Button> : null}
                  <Button onPress={() => setRetired(!retired)}>
                    {retired ? "Hide retired ones" : "Show retired ones"}
                  </Button>
                </Row>
              </Panel>
            )}
            <AddMachine kinds={kinds} />
            <ListImport
              of="machines"
              title="A list of machines"
              columns="Columns: name, kind; and if you like owner's mark, place, use, meter, note, circuits."
            />
          </Page>
        );
      }}
    </Loaded>
  );
}

interface KindsProps {
  kinds: { id: string; label: string }[];
  counts: Record<string, number>;
  kind: MachineKind | undefined;
  onPick: (kind: MachineKind | undefined) => void;
}

function Kinds({ kinds, counts, kind, onPick }: KindsProps) {
  const there = kinds.filter(({ id }) => counts[id] !== undefined);
  if (there.length < 2) return null;
  return (
    <Choice
      label="Kind of machine"
      isLabelHidden
      options={[
        { id: EVERY, label: "All" },
        ...there.map(({ id, label }) => ({ id, label: `${label} · ${counts[id]}` })),
      ]}
      value={kind ?? EVERY}
      onChange={(id) => onPick(id === EVERY ? undefined : (id as MachineKind))}
    />
  );
}

function MachineRow({ machine, kind }: { machine: MachineLine; kind: string | undefined }) {
  return (
    <Line>
      <h2>
        <Link to={`/machines/${machine.id}`}>{machine.name}</Link>
      </h2>
      <Quiet>{[machine.mark, kind, machine.place, machine.note].filter(Boolean).join(". ")}</Quiet>
      <DamagedRows rows={machine.damaged} />
      {machine.retired_at ? <Mark kind="quiet">Retired</Mark> : null}
      <ul>
        {machine.circuits.map((circuit) => (
          <li key={circuit.id}>
            <Link to={`/machines/${machine.id}?circuit=${circuit.id}`}>{circuit.name}</Link>
          </li>
        ))}
      </ul>
    </Line>
  );
}
