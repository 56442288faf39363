import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { Button } from "../kit/Button";
import { Panel, Quiet, Row } from "../kit/layout";
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
  const lines = [...page.items, ...shelf].sort((one, other) => one.on.localeCompare(other.on));
  const overdue = lines.filter((line) => line.overdue).length;
  return (
    <Panel>
      <h2>Due</h2>
      {lines.length === 0 ? <Quiet>Nothing falls due in the next 30 days.</Quiet> : null}
      {overdue > 0 ? (
        <Quiet>{`${overdue} overdue, ${lines.length - overdue} in the next 30 days.`}</Quiet>
      ) : null}
      <DueList label="Due" dues={isAll ? lines : lines.slice(0, SHOWN)} />
      <Row $gap={1}>
        {lines.length > SHOWN ? (
          <Button onPress={() => setAll(!isAll)}>{isAll ? "Show fewer" : `Show all ${lines.length}`}</Button>
        ) : null}
        <a href="/api/due/calendar.ics">Subscribe to the calendar</a>
      </Row>
    </Panel>
  );
}
