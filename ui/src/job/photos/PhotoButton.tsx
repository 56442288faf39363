import { useMutation } from "@tanstack/react-query";
import { useId } from "react";
import styled from "styled-components";
import { Notice } from "../../kit/Notice";
import type { Job, Stage } from "../../server/api";
import { useEntries } from "../useEntries";
import { sendPhoto } from "./sendPhoto";

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

interface Props {
  job: Job;
  stage: Stage;
  label: string;
  /** What it shows. */
  what: string;
  /** The entry of an earlier photo that it shows once more. */
  again?: string | undefined;
}

/** A phone's camera in one tap; a file on a computer. */
export function PhotoButton({ job, stage, label, what, again }: Props) {
  const { add } = useEntries(job, stage);
  const field = useId();
  const upload = useMutation({
    mutationFn: (file: File) => sendPhoto(job.id, file),
    onSuccess: (photo) => add("photo", { photo: photo.id, what, ...(again ? { again } : {}) }),
  });
  return (
    <>
      {upload.isError ? (
        <Notice tone="warn" live>
          {upload.error.message}
        </Notice>
      ) : null}
      <Pick htmlFor={field}>
        {upload.isPending ? "Sending…" : label}
        <input
          id={field}
          type="file"
          accept="image/png,image/jpeg,image/webp,image/heic,image/heif"
          capture="environment"
          onChange={(event) => {
            const file = event.target.files?.[0];
            if (file) upload.mutate(file);
            event.target.value = "";
          }}
        />
      </Pick>
    </>
  );
}
