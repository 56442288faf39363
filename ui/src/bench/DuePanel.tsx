import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { Button } from "../kit/Button";
import { Panel, Quiet, Row } from "../kit/layout";
import { dueGroups } from "../pieces/dueGroups";
import { DueList } from "../pieces/DueList";
import { dueQuery } from "../server/queries";

/** How many stand here before one asks for the rest. */
const SHOWN = 3;

/** What is overdue, and what falls due in the next weeks: machines, re-checks and bottles. */
export function DuePanel() {
  const [isAll, setAll] = useState(false);
  const page = useQuery(dueQuery).data;
  if (!page) return null;
  const shelf = page.shelf.filter((line) => line.overdue);
  const groups = dueGroups([...page.items, ...shelf]);
  const overdue = groups.filter((group) => group.overdue).length;
  return (
    <Panel>
      <h2>Due</h2>
      {groups.length === 0 ? <Quiet>Nothing falls due in the next 30 days.</Quiet> : null}
      {overdue > 0 ? (
        <Quiet>{`${overdue} overdue, ${groups.length - overdue} in the next 30 days.`}</Quiet>
      ) : null}
      <DueList label="Due" groups={isAll ? groups : groups.slice(0, SHOWN)} />
      <Row $gap={1}>
        {groups.length > SHOWN ? (
          <Button onPress={() => setAll(!isAll)}>{isAll ? "Show fewer" : `Show all ${groups.length}`}</Button>
        ) : null}
        <a href="/api/due/calendar.ics">Subscribe to the calendar</a>
      </Row>
    </Panel>
  );
}
