import { useMutation, useQueryClient } from "@tanstack/react-query";
import { FileTrigger } from "react-aria-components";
import { Button } from "../kit/Button";
import { Quiet, Row } from "../kit/layout";
import { Notice } from "../kit/Notice";
import type { Archive as ArchiveFile } from "../server/api";
import { answer, client } from "../server/client";
import { Refused, worded } from "../server/faults";
import { Imports } from "./Imports";

/** Imports an archive of another shop, or of this one: all of it or nothing. */
export function Archive() {
  const queryClient = useQueryClient();
  const take = useMutation({
    mutationFn: async (file: File) =>
      answer(
        client.POST("/archive", {
          body: (await file.text()) as unknown as ArchiveFile,
          bodySerializer: (text) => text as unknown as string,
        }),
      ),
    onSuccess: () => queryClient.invalidateQueries(),
  });
  const refused = take.error instanceof Refused ? take.error.problem.errors[0] : undefined;
  return (
    <>
      <Row $gap={1}>
        <FileTrigger
          acceptedFileTypes={[".json", "application/json"]}
          onSelect={(files) => {
            const file = files?.[0];
            if (file) take.mutate(file);
          }}
        >
          <Button isDisabled={take.isPending}>Import an archive</Button>
        </FileTrigger>
        <a href="/api/archive" download>
          Everything as one JSON file
        </a>
      </Row>
      {take.isError ? (
        <Notice tone="warn" live>
          {refused ? `${refused.pointer}: ${worded(refused)}` : take.error.message} Nothing was imported.
        </Notice>
      ) : null}
      {take.data ? (
        <Notice tone="good" live>
          {`${take.data.added.machines} machines, ${take.data.added.jobs} jobs and ${take.data.added.moves} moves of the shelf imported; `}
          {`${take.data.passed_over.machines + take.data.passed_over.jobs + take.data.passed_over.moves} were here already.`}
        </Notice>
      ) : null}
      {take.data && take.data.refused.length > 0 ? (
        <Notice tone="warn" live>
          {`${new Set(take.data.refused.map((each) => each.job)).size} open jobs are on hold. Not imported: `}
          {take.data.refused.map((each) => `${each.stage}, ${each.kind}: ${each.why}`).join("; ")}
        </Notice>
      ) : null}
      <Imports />
      <Quiet>
        Machines, circuits, jobs with their journals and photos, the shelf and the shop&apos;s settings.
        Identical records are skipped; any conflict rejects the whole file.
      </Quiet>
    </>
  );
}
