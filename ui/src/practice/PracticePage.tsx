import { useMutation, useQuery } from "@tanstack/react-query";
import { useState } from "react";
import styled from "styled-components";
import { Button } from "../kit/Button";
import { Loaded } from "../kit/Loaded";
import { Page, Panel, Quiet, Row } from "../kit/layout";
import { Notice } from "../kit/Notice";
import { useTitle } from "../kit/useTitle";
import { answer, client } from "../server/client";
import type { Mystery } from "../server/api";
import { lessonsQuery } from "../server/queries";
import { MysteryLever } from "./MysteryLever";
import { PracticeRun } from "./PracticeRun";

const Lessons = styled.ul`
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(min(100%, 22rem), 1fr));
  gap: 1rem;
  li {
    display: grid;
    gap: 0.5rem;
    align-content: space-between;
    padding: 1rem;
    border: 1px solid ${(p) => p.theme.line};
    border-radius: 0.6rem;
  }
`;

/** A circuit that one can get wrong: simulated, in memory only, never on record. */
export function PracticePage() {
  useTitle("Practice");
  const lessons = useQuery(lessonsQuery);
  const start = useMutation({
    mutationFn: (lesson: string) =>
      answer(client.POST("/practice/runs", { body: { id: crypto.randomUUID(), lesson } })),
  });
  const [search, setSearch] = useState<Mystery>();
  const mystery = useMutation({
    mutationFn: () => answer(client.POST("/practice/mysteries", { body: { id: crypto.randomUUID() } })),
    onSuccess: setSearch,
  });
  return (
    <Page>
      <h1>Practice</h1>
      <Notice tone="warn">Simulated. Nothing here touches a machine or the record.</Notice>
      {start.isError ? <Notice tone="stop">{start.error.message}</Notice> : null}
      {start.data ? (
        <PracticeRun
          key={start.data.id}
          run={start.data}
          onAgain={() => start.mutate(start.data.lesson.id)}
          onLeave={() => start.reset()}
        />
      ) : search ? (
        <MysteryLever
          key={search.id}
          mystery={search}
          onTried={setSearch}
          onAgain={() => mystery.mutate()}
          onLeave={() => setSearch(undefined)}
        />
      ) : (
        <Loaded query={lessons}>
          {({ items }) => (
            <Panel>
              <Row>
                <h2>Lessons</h2>
                <Button tone="act" isDisabled={mystery.isPending} onPress={() => mystery.mutate()}>
                  Mystery lever
                </Button>
              </Row>
              <Lessons aria-label="Lessons">
                {items.map((lesson) => (
                  <li key={lesson.id}>
                    <div>
                      <h3>{lesson.label}</h3>
                      <Quiet>{lesson.goal}</Quiet>
                    </div>
                    <Button
                      aria-label={`Start: ${lesson.label}`}
                      isDisabled={start.isPending}
                      onPress={() => start.mutate(lesson.id)}
                    >
                      Start
                    </Button>
                  </li>
                ))}
              </Lessons>
            </Panel>
          )}
        </Loaded>
      )}
    </Page>
  );
}
