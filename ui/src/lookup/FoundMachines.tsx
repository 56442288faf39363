import { useInfiniteQuery } from "@tanstack/react-query";
import { Link } from "react-router";
import { Panel, Row } from "../kit/layout";
import { pagesOf } from "../server/pagesOf";
import { machinesQuery } from "../server/queries";

const FEW = 3;

/** Machines with these words, the first few. */
export function FoundMachines({ find }: { find: string }) {
  const { items } = pagesOf(useInfiniteQuery(machinesQuery({ find, limit: FEW })));
  if (items.length === 0) return null;
  return (
    <Panel aria-label="Machines">
      <h2>Machines</h2>
      <ul>
        {items.map((machine) => (
          <li key={machine.id}>
            <Row $gap={1}>
              <Link to={`/machines/${machine.id}`}>{machine.name}</Link>
              {machine.circuits.map((circuit) => (
                <Link key={circuit.id} to={`/look-up?circuit=${circuit.id}`}>
                  {`Look up for ${circuit.name}`}
                </Link>
              ))}
            </Row>
          </li>
        ))}
      </ul>
    </Panel>
  );
}
