import { useQuery } from "@tanstack/react-query";
import { useDeferredValue, useState } from "react";
import { useSearchParams } from "react-router";
import { Loaded } from "../kit/Loaded";
import { Page, Quiet } from "../kit/layout";
import { Rooms } from "../kit/Rooms";
import { SearchField } from "../kit/SearchField";
import { useTitle } from "../kit/useTitle";
import { circuitQuery, lookupQuery } from "../server/queries";
import { FoundMachines } from "./FoundMachines";
import { FoundThings } from "./FoundThings";
import { Group } from "./Group";

/** Everything that can be looked up without a job, found by typing. */
export function LookupPage() {
  useTitle("Look up");
  const [search, setSearch] = useSearchParams();
  const [typed, setTyped] = useState(search.get("find") ?? "");
  const find = useDeferredValue(typed.trim());
  const circuitId = search.get("circuit");
  const circuit = useQuery(circuitQuery(circuitId ?? ""));
  const found = useQuery(lookupQuery(find, circuitId));
  const change = (text: string) => {
    setTyped(text);
    setSearch(
      { ...(text ? { find: text } : {}), ...(circuitId ? { circuit: circuitId } : {}) },
      { replace: true },
    );
  };
  return (
    <Page>
      <h1>Look up</h1>
      <SearchField
        label="Torque, fluid, rubber, a method, a word"
        value={typed}
        onChange={change}
        hasCursor
      />
      <Quiet>
        {circuit.data
          ? `The record of ${circuit.data.name} comes first. Trade defaults are not a specification.`
          : "Trade defaults are not a specification: the machine's service information prevails."}
      </Quiet>
      {find ? <FoundMachines find={find} /> : null}
      <Loaded query={found}>
        {({ groups, jobs, things }) =>
          find ? (
            <>
              <FoundThings jobs={jobs} things={things} />
              {groups.map((group) => (
                <Group key={group.id} group={group} isFound />
              ))}
              {groups.length + jobs.length + things.length === 0 ? (
                <Quiet>Nothing in the tables has these words. Try one word fewer, or another one.</Quiet>
              ) : null}
            </>
          ) : (
            <Rooms>
              {groups.map((group) => (
                <Group key={group.id} group={group} />
              ))}
            </Rooms>
          )
        }
      </Loaded>
    </Page>
  );
}
