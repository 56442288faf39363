import { useQuery } from "@tanstack/react-query";
import type { Choose, Job } from "../../server/api";
import { knowledgeQuery } from "../../server/queries";
import { Button } from "../../kit/Button";
import { Choice } from "../../kit/Choice";
import { Notice } from "../../kit/Notice";
import { useEntries } from "../useEntries";

interface Props {
  job: Job;
  choose: Choose;
  line: string;
}

/** Why there is no kit for a unit, and the repair that goes on from there. */
export function NoKit({ job, choose, line }: Props) {
  const { data } = useQuery(knowledgeQuery);
  const { add } = useEntries(job, "choose");
  const { add: ask } = useEntries(job, "ask");
  if (!data) return null;
  const { no_kit: answer, instead } = choose;
  const whole = data.routes.find((route) => route.id === instead);
  return (
    <details open={answer !== undefined}>
      <summary>No kit to be had</summary>
      <Choice
        label="Why there is no kit"
        options={data.kit_answers.map(({ id, label }) => ({ id, label }))}
        value={answer?.id}
        onChange={(why) => add("no_kit", { line, why })}
      />
      {answer ? (
        <Notice tone={answer.on === "maker" ? "stop" : "warn"}>
          <strong>{answer.label}</strong>
          <span>{answer.does}</span>
          {whole ? (
            <Button tone="act" onPress={() => ask("route", { route: whole.id })}>
              {`Change the repair: ${whole.label}`}
            </Button>
          ) : (
            <Button tone="act" onPress={() => ask("route", { route: "refer" })}>
              Change the repair: Refer
            </Button>
          )}
        </Notice>
      ) : null}
    </details>
  );
}
