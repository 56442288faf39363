import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { Link } from "react-router";
import styled from "styled-components";
import { knowledgeQuery, machinesQuery, retiredMachinesQuery } from "../app/queries";
import { Button } from "../kit/Button";
import { Loaded } from "../kit/Loaded";
import { Page, Panel, Quiet } from "../kit/layout";
import { Mark } from "../kit/Mark";
import { useTitle } from "../kit/useTitle";
import { AddMachine } from "./AddMachine";

const List = styled.ul`
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(18rem, 1fr));
  gap: 1.2rem;
  h2 a {
    color: inherit;
    text-decoration: none;
  }
  li li a {
    display: inline-flex;
    align-items: center;
    min-height: 3rem;
  }
`;

export function Machines() {
  useTitle("Machines");
  const [withRetired, setWithRetired] = useState(false);
  const machines = useQuery(withRetired ? retiredMachinesQuery : machinesQuery);
  const kinds = useQuery(knowledgeQuery).data?.machine_kinds ?? [];
  return (
    <Loaded query={machines}>
      {({ items }) => (
        <Page>
          <h1>Machines</h1>
          {items.length === 0 ? <Quiet>No machines yet. Add the first one below.</Quiet> : null}
          <List>
            {items.map((machine) => (
              <li key={machine.id}>
                <Panel>
                  <h2>
                    <Link to={`/machines/${machine.id}`}>{machine.name}</Link>
                  </h2>
                  {machine.retired_at ? (
                    <div>
                      <Mark kind="quiet">Retired</Mark>
                    </div>
                  ) : null}
                  <Quiet>
                    {kinds.find((kind) => kind.id === machine.kind)?.label}
                    {machine.note ? `. ${machine.note}` : ""}
                  </Quiet>
                  <ul>
                    {machine.circuits.map((circuit) => (
                      <li key={circuit.id}>
                        <Link to={`/machines/${machine.id}?circuit=${circuit.id}`}>{circuit.name}</Link>
                      </li>
                    ))}
                  </ul>
                </Panel>
              </li>
            ))}
          </List>
          <div>
            <Button onPress={() => setWithRetired(!withRetired)}>
              {withRetired ? "Hide retired ones" : "Show retired ones"}
            </Button>
          </div>
          <AddMachine kinds={kinds} />
        </Page>
      )}
    </Loaded>
  );
}
