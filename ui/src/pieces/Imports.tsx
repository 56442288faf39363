import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { Button } from "../kit/Button";
import { whenSaid } from "../kit/format";
import { Quiet, Row } from "../kit/layout";
import { Notice } from "../kit/Notice";
import { answer, client } from "../server/client";
import { importsQuery } from "../server/queries";

/** Archives that were imported, each with a way back while nothing rests on it. */
export function Imports() {
  const queryClient = useQueryClient();
  const imports = useQuery(importsQuery).data?.items ?? [];
  const back = useMutation({
    mutationFn: (id: string) =>
      answer(client.POST("/archive/imports/{id}/taken-back", { params: { path: { id } } })),
    onSuccess: () => queryClient.invalidateQueries(),
  });
  if (imports.length === 0) return null;
  return (
    <>
      <h3>Imported archives</h3>
      {back.isError ? <Notice tone="warn">{back.error.message}</Notice> : null}
      <ul aria-label="Imported archives">
        {imports.map((each) => (
          <li key={each.id}>
            <Row $gap={1}>
              <span>{`${whenSaid(each.at)}: ${counted(each)}`}</span>
              {each.resting.length > 0 ? (
                <Quiet as="span">{`Stays: ${each.resting.join("; ")}.`}</Quiet>
              ) : (
                <Button isDisabled={back.isPending} onPress={() => back.mutate(each.id)}>
                  Remove what it brought
                </Button>
              )}
            </Row>
          </li>
        ))}
      </ul>
    </>
  );
}

function counted({ machines, jobs, moves }: { machines: number; jobs: number; moves: number }): string {
  const counts: [number, string][] = [
    [machines, "machine"],
    [jobs, "job"],
    [moves, "shelf move"],
  ];
  const said = counts
    .filter(([count]) => count > 0)
    .map(([count, what]) => `${count} ${what}${count > 1 ? "s" : ""}`);
  return said.length > 0 ? said.join(", ") : "nothing new";
}
