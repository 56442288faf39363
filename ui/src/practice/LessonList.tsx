import { useState } from "react";
import styled from "styled-components";
import { Button } from "../kit/Button";
import { EntryField } from "../kit/EntryField";
import { Panel, Quiet, Row } from "../kit/layout";
import { Mark } from "../kit/Mark";
import { Picker } from "../kit/Picker";
import type { Lesson, NewPractice } from "../server/api";
import type { Kept, useResults } from "./useResults";

interface Props {
  items: Lesson[];
  circuits: { id: string; label: string }[];
  kept: ReturnType<typeof useResults>;
  isBusy: boolean;
  onStart: (what: Omit<NewPractice, "id">) => void;
  onMystery: (circuit: string) => void;
}

const Lessons = styled.ul`
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(min(100%, 21rem), 1fr));
  gap: 0.8rem;
  li {
    display: grid;
    grid-template-columns: minmax(0, 1fr) auto;
    gap: 0.3rem 0.8rem;
    align-items: center;
    align-content: start;
    padding: 0.8rem 1rem;
    border: 1px solid ${(p) => p.theme.line};
    border-radius: 0.6rem;
  }
  p {
    grid-column: 1 / -1;
  }
`;

/** Lessons, each with what whoever practises here made of it last; a circuit without a lesson; a lever to be found out. */
export function LessonList({ items, circuits, kept, isBusy, onStart, onMystery }: Props) {
  const [circuit, setCircuit] = useState(circuits[0]?.id ?? "");
  return (
    <>
      <Panel>
        <Row>
          <EntryField label="Who practises" value={kept.name} onFinish={kept.setName} />
        </Row>
        <Quiet>Results are kept by name, in this browser only.</Quiet>
      </Panel>
      <Panel>
        <h2>Without a lesson</h2>
        <Row $gap={2}>
          <Picker label="Circuit" isLabelHidden options={circuits} value={circuit} onChange={setCircuit} />
          <Button isDisabled={isBusy} onPress={() => onStart({ circuit, start: "spongy" })}>
            Spongy
          </Button>
          <Button isDisabled={isBusy} onPress={() => onStart({ circuit, start: "dry" })}>
            From dry
          </Button>
          <Button tone="act" isDisabled={isBusy} onPress={() => onMystery(circuit)}>
            Mystery lever
          </Button>
          <Quiet>A mystery lever has something wrong with it: find it with five tests.</Quiet>
        </Row>
      </Panel>
      <Panel>
        <h2>Lessons</h2>
        <Lessons aria-label="Lessons">
          {items.map((lesson) => (
            <li key={lesson.id}>
              <h3>{lesson.label}</h3>
              <Button
                aria-label={`Start: ${lesson.label}`}
                isDisabled={isBusy}
                onPress={() => onStart({ lesson: lesson.id })}
              >
                Start
              </Button>
              <Quiet>{lesson.goal}</Quiet>
              <Best results={kept.results.filter((each) => each.lesson === lesson.id)} />
            </li>
          ))}
        </Lessons>
      </Panel>
    </>
  );
}

/** The best of several runs: done before not, without slips before with, then the quickest. */
function Best({ results }: { results: Kept[] }) {
  const [best] = [...results].sort(
    (one, other) =>
      Number(other.done) - Number(one.done) || one.slips - other.slips || one.seconds - other.seconds,
  );
  if (!best) return null;
  const slips = best.slips === 0 ? "no slip" : `${best.slips} ${best.slips === 1 ? "slip" : "slips"}`;
  return (
    <p>
      <Mark kind={best.done ? "good" : "quiet"}>
        {best.done ? `Done in ${Math.round(best.seconds)} s, ${slips}` : "Tried, not done"}
      </Mark>
    </p>
  );
}
