import type { Choose, Job, PullLine, Supplies } from "../../server/api";
import { Big, Panel, Quiet, Row, TextButton, TextLink } from "../../kit/layout";
import { Mark } from "../../kit/Mark";
import { Notice } from "../../kit/Notice";
import { Room, Rooms } from "../../kit/Rooms";
import { useEntries } from "../useEntries";
import { PullListLine } from "./PullListLine";
import { TickTheRest } from "./TickTheRest";
import { useOnItsWay } from "./useOnItsWay";

interface Props {
  job: Job;
  choose: Choose;
  supplies: Supplies;
  isOpen: boolean;
}

/** Neither asked for before the work starts nor on the buy list. */
const isSpare = (line: PullLine) => !line.needed && line.short === 0 && !line.id.startsWith("hose.");

/** The room of a line: spares have their own. */
const roomOf = (line: PullLine) => (line.group === "parts" && isSpare(line) ? "spares" : line.group);

const ROOMS = ["parts", "spares", "fluid", "consumables", "tools", "protection"] as const;
/** Rooms in which each line wants a thought of its own. */
const WEIGHED: readonly string[] = ["parts", "spares", "fluid"];
const ROOM_NAMES = {
  parts: "Parts",
  spares: "Spares",
  fluid: "Fluid",
  consumables: "Consumables",
  tools: "Tools",
  protection: "Protection",
} as const;

/** Everything that lies on the bench before the first screw is turned; a tick takes it off the shelf. */
export function PullListPanel({ job, choose, supplies, isOpen }: Props) {
  const onItsWay = useOnItsWay(job, choose, supplies);
  const isLeft = (line: PullLine) => line.needed && !line.done;
  const left = supplies.lines.filter(isLeft).length;
  if (supplies.lines.length === 0)
    return (
      <Panel>
        <h2>Pull list</h2>
        <Quiet>The list appears once a repair is chosen.</Quiet>
      </Panel>
    );
  return (
    <Panel as="aside" aria-label="Pull list">
      <Row $gap={3}>
        <div>
          <h2>Pull list</h2>
          <Quiet>A tick takes it off the shelf.</Quiet>
        </div>
        {left > 0 ? (
          <Big $size="2.4rem">
            {left}
            <small> still needed</small>
          </Big>
        ) : (
          <Mark kind="good">All that is needed is here</Mark>
        )}
      </Row>
      <Rooms
        start={ROOMS.find((room) => supplies.lines.some((line) => roomOf(line) === room && isLeft(line)))}
      >
        {ROOMS.map((room) => {
          const lines = supplies.lines.filter((line) => roomOf(line) === room);
          if (lines.length === 0) return null;
          return (
            <Room
              key={room}
              id={room}
              title={ROOM_NAMES[room]}
              said={`${lines.filter((line) => line.done).length} of ${lines.length}`}
              left={lines.some((line) => line.needed) ? lines.filter(isLeft).length : undefined}
            >
              {lines.map((line) => (
                <PullListLine key={line.id} job={job} line={line} onItsWay={onItsWay} isOpen={isOpen} />
              ))}
              {isOpen && !WEIGHED.includes(room) ? (
                <TickTheRest job={job} lines={lines} onItsWay={onItsWay} />
              ) : null}
            </Room>
          );
        })}
      </Rooms>
      {supplies.stale.length > 0 ? <Stale job={job} supplies={supplies} isOpen={isOpen} /> : null}
      <Row $gap={1}>
        <TextLink href={`/api/jobs/${job.id}/pull-list.pdf`}>Pull list as PDF</TextLink>
        {supplies.buy.length > 0 ? (
          <>
            <TextLink
              href={`/api/jobs/${job.id}/buy-list.pdf`}
            >{`Buy list, ${supplies.buy.length} short, as PDF`}</TextLink>
            <TextLink href={`/api/jobs/${job.id}/buy-list.csv`}>as CSV</TextLink>
          </>
        ) : null}
      </Row>
    </Panel>
  );
}

/** Pulled for a route the job has left. */
function Stale({ job, supplies, isOpen }: Omit<Props, "choose">) {
  const { undo } = useEntries(job, "choose");
  return (
    <Notice tone="warn">
      <strong>No longer needed</strong>
      {supplies.stale.map((pulled) => (
        <Row key={pulled.entry} $gap={1}>
          <span>{pulled.name ?? pulled.reason ?? pulled.line.replace("tool.", "").replaceAll("_", " ")}</span>
          {isOpen ? (
            <TextButton type="button" onClick={() => undo(pulled.entry)}>
              Return to stock
            </TextButton>
          ) : null}
        </Row>
      ))}
    </Notice>
  );
}
