import { useMutation, useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { useSearchParams } from "react-router";
import { Loaded } from "../kit/Loaded";
import { Page, Row } from "../kit/layout";
import { Mark } from "../kit/Mark";
import { Notice } from "../kit/Notice";
import { useTitle } from "../kit/useTitle";
import { answer, client } from "../server/client";
import type { Mystery, NewPractice } from "../server/api";
import { lessonsQuery } from "../server/queries";
import { LessonList } from "./LessonList";
import { MysteryLever } from "./MysteryLever";
import { PracticeRun } from "./PracticeRun";
import { useResults } from "./useResults";

/** What begins is read from its start, wherever it was picked in the list. */
const toTop = () => window.scrollTo(0, 0);

/** A circuit that one can get wrong: simulated, in memory only, never on record. */
export function PracticePage() {
  useTitle("Practice");
  const lessons = useQuery(lessonsQuery);
  const kept = useResults();
  const [asked, setAsked] = useState<Omit<NewPractice, "id">>();
  const [isExam, setExam] = useState(false);
  const [params] = useSearchParams();
  const start = useMutation({
    mutationFn: (what: Omit<NewPractice, "id">) =>
      answer(client.POST("/practice/runs", { body: { id: crypto.randomUUID(), ...what } })),
    onSuccess: toTop,
  });
  const begin = (what: Omit<NewPractice, "id">) => {
    setAsked(what);
    start.mutate(what);
  };
  const [search, setSearch] = useState<Mystery>();
  const mystery = useMutation({
    mutationFn: (circuit: string) =>
      answer(client.POST("/practice/mysteries", { body: { id: crypto.randomUUID(), circuit } })),
    onSuccess: (begun) => {
      setSearch(begun);
      toTop();
    },
  });
  const fault = start.error ?? mystery.error;
  return (
    <Page>
      <Row $gap={2}>
        <h1>{start.data && asked ? start.data.lesson.label : "Practice"}</h1>
        <Mark kind="warn">Simulated. Nothing here touches a machine or the record.</Mark>
      </Row>
      {fault ? <Notice tone="stop">{fault.message}</Notice> : null}
      {start.data && asked ? (
        <PracticeRun
          key={start.data.id}
          run={start.data}
          isExam={isExam}
          onOver={() => kept.keep(start.data.id, isExam)}
          onAgain={() => begin(asked)}
          onLeave={() => start.reset()}
        />
      ) : search ? (
        <MysteryLever
          key={search.id}
          mystery={search}
          onTried={setSearch}
          onAgain={() => mystery.mutate(search.circuit.id)}
          onLeave={() => setSearch(undefined)}
        />
      ) : (
        <Loaded query={lessons}>
          {(offered) => (
            <LessonList
              {...offered}
              kept={kept}
              job={params.get("job") ?? undefined}
              isExam={isExam}
              onExam={setExam}
              isBusy={start.isPending || mystery.isPending}
              onStart={begin}
              onMystery={(circuit) => mystery.mutate(circuit)}
            />
          )}
        </Loaded>
      )}
    </Page>
  );
}
