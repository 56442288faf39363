import { useMutation, useQuery } from "@tanstack/react-query";
import { Button } from "../kit/Button";
import { Quiet, Row } from "../kit/layout";
import { answersKept, forgetAnswers } from "../server/answersKept";
import { KEPT_S } from "../worker/agreed";

const DAY_S = 86_400;

/** What this browser keeps of the record, so that a job can be read while the server is away; and removing it. */
export function KeptHere() {
  const kept = useQuery({ queryKey: ["kept here"], queryFn: answersKept, staleTime: 0 });
  const forget = useMutation({ mutationFn: forgetAnswers, onSuccess: () => kept.refetch() });
  return (
    <>
      <Row $gap={1}>
        <Button isDisabled={!kept.data || forget.isPending} onPress={() => forget.mutate()}>
          Clear this browser&apos;s copy
        </Button>
        <span role="status">{`${kept.data ?? 0} pages and photos are kept in this browser.`}</span>
      </Row>
      <Quiet>
        {`They stand in for the server while it is away, for up to ${KEPT_S / DAY_S} days. Entries that have not been sent are not cleared.`}
      </Quiet>
    </>
  );
}
