import { useQuery } from "@tanstack/react-query";
import { Link } from "react-router";
import styled from "styled-components";
import { machinesQuery } from "../app/queries";
import { Loaded } from "../kit/Loaded";
import { Page, Panel, Quiet } from "../kit/layout";
import { useTitle } from "../kit/useTitle";

const List = styled.ul`
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(19rem, 1fr));
  gap: 1.2rem;
  a {
    font-size: 1.15rem;
    font-weight: 700;
  }
  li li {
    padding: 0.15rem 0;
  }
  li li a {
    display: inline-flex;
    align-items: center;
    min-height: 2.6rem;
    font-size: 1.05rem;
    font-weight: 400;
  }
`;

export function Machines() {
  useTitle("Machines");
  const machines = useQuery(machinesQuery);
  return (
    <Loaded query={machines}>
      {({ items }) => (
        <Page>
          <h1>Machines</h1>
          <List>
            {items.map((machine) => (
              <li key={machine.id}>
                <Panel>
                  <h2>{machine.name}</h2>
                  <Quiet>{machine.note}</Quiet>
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
        </Page>
      )}
    </Loaded>
  );
}
