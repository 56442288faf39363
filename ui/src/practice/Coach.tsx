import { useMutation } from "@tanstack/react-query";
import { Button } from "../kit/Button";
import { Row } from "../kit/layout";
import { Notice } from "../kit/Notice";
import { useHotkeys } from "../kit/useHotkeys";
import type { PracticeSlip, PracticeStart } from "../server/api";
import { answer, client } from "../server/client";

interface Props {
  run: PracticeStart;
  slips: PracticeSlip[];
}

/** Says a slip as it is made, and, when asked, what a good hand would do now: one hint at a time. */
export function Coach({ run, slips }: Props) {
  const hint = useMutation({
    mutationFn: () => answer(client.GET("/practice/runs/{id}/hint", { params: { path: { id: run.id } } })),
  });
  useHotkeys({ h: () => hint.mutate() });
  const slip = slips[slips.length - 1];
  return (
    <>
      <Row>
        <Button hotkey="H" isDisabled={hint.isPending} onPress={() => hint.mutate()}>
          What now?
        </Button>
        <p aria-live="polite" data-hint style={{ flex: "1 1 18rem" }}>
          {hint.data ? <strong>{hint.data.says}</strong> : "A good hand's next step, when you ask for it."}
        </p>
      </Row>
      {slip ? (
        <Notice tone="stop" live>
          <strong>{`${slip.label}. `}</strong>
          {slip.says}
        </Notice>
      ) : null}
      {hint.error ? <Notice tone="stop">{hint.error.message}</Notice> : null}
    </>
  );
}
