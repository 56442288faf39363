import { useMutation } from "@tanstack/react-query";
import { useId, useState } from "react";
import styled from "styled-components";
import type { Job, Stage, StoredPhoto } from "../server/api";
import { answer, client } from "../server/client";
import { EntryField } from "../kit/EntryField";
import { Quiet, Row } from "../kit/layout";
import { Notice } from "../kit/Notice";
import { Room } from "../kit/Rooms";
import { useEntries } from "./useEntries";

interface Props {
  job: Job;
  /** Where new ones are put; none can be added without it. */
  stage?: Stage;
  hint?: string;
}

const List = styled.ul`
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(11rem, 1fr));
  gap: 0.8rem;
  img {
    width: 100%;
    aspect-ratio: 4 / 3;
    object-fit: cover;
    border-radius: 0.5rem;
    border: 1px solid ${(p) => p.theme.line};
  }
`;

const Pick = styled.label`
  display: inline-flex;
  align-items: center;
  min-height: 3rem;
  padding: 0.45rem 1.1rem;
  border: 2px solid ${(p) => p.theme.line};
  border-radius: 0.5rem;
  background: ${(p) => p.theme.panel};
  font-weight: 650;
  cursor: pointer;
  &:focus-within {
    outline: 3px solid ${(p) => p.theme.focus};
    outline-offset: 2px;
  }
  input {
    position: absolute;
    width: 1px;
    height: 1px;
    opacity: 0;
  }
`;

/** Photos of the job, as part of its record. */
export function Photos({ job, stage, hint }: Props) {
  const canAdd = stage && !job.signed && !job.stop;
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
          {job.photos.map((photo) => (
            <li key={photo.entry}>
              <a href={`/api/photos/${photo.photo}`}>
                <img src={`/api/photos/${photo.photo}`} alt={photo.what} />
              </a>
              <Quiet>{photo.what}</Quiet>
            </li>
          ))}
        </List>
      ) : null}
      {canAdd ? <AddPhoto job={job} stage={stage} /> : null}
    </Room>
  );
}

function AddPhoto({ job, stage }: { job: Job; stage: Stage }) {
  const { add } = useEntries(job, stage);
  const [what, setWhat] = useState("Before");
  const field = useId();
  const upload = useMutation({
    mutationFn: (file: File) => send(job.id, file),
    onSuccess: (photo) => add("photo", { photo: photo.id, what: what.trim() || "Photo" }),
  });
  return (
    <>
      {upload.isError ? (
        <Notice tone="warn" live>
          {upload.error.message}
        </Notice>
      ) : null}
      <Row>
        <EntryField label="What it shows" value={what} onFinish={setWhat} />
        <Pick htmlFor={field}>
          {upload.isPending ? "Sending…" : "Add a photo"}
          <input
            id={field}
            type="file"
            accept="image/png,image/jpeg,image/webp,image/heic,image/heif"
            onChange={(event) => {
              const file = event.target.files?.[0];
              if (file) upload.mutate(file);
              event.target.value = "";
            }}
          />
        </Pick>
      </Row>
    </>
  );
}

/** The picture itself is the body. */
function send(jobId: string, file: File): Promise<StoredPhoto> {
  return answer(
    client.POST("/jobs/{id}/photos", {
      params: { path: { id: jobId }, query: { photo: crypto.randomUUID() } },
      headers: { "content-type": file.type },
      body: "",
      bodySerializer: () => file,
    }),
  );
}
