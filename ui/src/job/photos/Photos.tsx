import { useState } from "react";
import styled from "styled-components";
import { EntryField } from "../../kit/EntryField";
import { Quiet, Row } from "../../kit/layout";
import { Room } from "../../kit/Rooms";
import type { Job, Stage } from "../../server/api";
import { stageNames } from "../../words/stages";
import { MarkedPhoto } from "./MarkedPhoto";
import { MarkPhoto } from "./MarkPhoto";
import { inPairs, type Photo } from "./pairs";
import { PhotoButton } from "./PhotoButton";

interface Props {
  job: Job;
  /** Where new ones are put; none can be added without it. */
  stage?: Stage;
  hint?: string;
}

const List = styled.ul`
  display: flex;
  flex-wrap: wrap;
  gap: 1rem;
  > li {
    display: grid;
    gap: 0.4rem;
    align-content: start;
  }
`;

/** Before and after stand side by side. */
const Pair = styled.div`
  display: flex;
  flex-wrap: wrap;
  gap: 0.4rem;
`;

const Picture = styled.button`
  width: 11rem;
  max-width: 100%;
  padding: 0;
  border: 0;
  background: none;
  color: inherit;
  font: inherit;
  text-align: left;
  cursor: pointer;
`;

/** Photos of the job, as part of its record. */
export function Photos({ job, stage, hint }: Props) {
  const [opened, setOpened] = useState<string>();
  const canAdd = stage && !job.signed && !job.stop ? stage : undefined;
  const large = job.photos.find((photo) => photo.entry === opened);
  if (!canAdd && job.photos.length === 0) return null;
  return (
    <Room
      id="photos"
      title="Photos"
      said={job.photos.length > 0 ? `${job.photos.length} so far` : "none yet"}
    >
      {hint ? <Quiet>{hint}</Quiet> : null}
      {job.photos.length > 0 ? (
        <List>
          {inPairs(job.photos).map((row) => {
            const [first] = row;
            return first ? (
              <li key={first.entry}>
                <Pair>
                  {row.map((photo) => (
                    <Thumb key={photo.entry} photo={photo} onOpen={() => setOpened(photo.entry)} />
                  ))}
                </Pair>
                {canAdd && first.stage !== canAdd ? (
                  <PhotoButton
                    job={job}
                    stage={canAdd}
                    label="Photograph it again"
                    what={first.what}
                    again={first.entry}
                  />
                ) : null}
              </li>
            ) : null;
          })}
        </List>
      ) : null}
      {canAdd ? <AddPhoto job={job} stage={canAdd} /> : null}
      {large ? (
        <MarkPhoto job={job} stage={canAdd} photo={large} onClose={() => setOpened(undefined)} />
      ) : null}
    </Room>
  );
}

function Thumb({ photo, onOpen }: { photo: Photo; onOpen: () => void }) {
  return (
    <Picture type="button" onClick={onOpen}>
      <MarkedPhoto photo={photo} />
      <Quiet as="span">{`${photo.what} · ${stageNames[photo.stage]}`}</Quiet>
    </Picture>
  );
}

function AddPhoto({ job, stage }: { job: Job; stage: Stage }) {
  const [what, setWhat] = useState("Before");
  return (
    <Row>
      <EntryField label="What it shows" value={what} onFinish={setWhat} />
      <PhotoButton job={job} stage={stage} label="Add a photo" what={what.trim() || "Photo"} />
    </Row>
  );
}
