import styled from "styled-components";
import { Panel, Quiet } from "../kit/layout";
import { Mark } from "../kit/Mark";
import { Room } from "../kit/Rooms";
import type { Lookup } from "../server/api";

type LookupGroup = Lookup["groups"][number];

const List = styled.dl`
  display: grid;
  gap: 0.9rem;
  margin: 0;
  dt {
    font-weight: 650;
  }
  dd {
    margin: 0;
  }
`;

interface Props {
  group: LookupGroup;
  /** It was searched for: it is not folded. */
  isFound?: boolean;
}

/** What one table says. */
export function Group({ group, isFound = false }: Props) {
  const entries = (
    <>
      {group.default ? <Quiet>Trade defaults, not a specification.</Quiet> : null}
      <List>
        {group.entries.map((entry) => (
          <div key={entry.id}>
            <dt>
              {entry.title} {entry.source ? <Mark kind="quiet">{entry.source.replace("_", " ")}</Mark> : null}
            </dt>
            <dd>{entry.says.join(" ")}</dd>
          </div>
        ))}
      </List>
    </>
  );
  if (!isFound) {
    return (
      <Room id={group.id} title={group.label} said={String(group.entries.length)}>
        {entries}
      </Room>
    );
  }
  return (
    <Panel aria-label={group.label}>
      <h2>{group.label}</h2>
      {entries}
    </Panel>
  );
}
