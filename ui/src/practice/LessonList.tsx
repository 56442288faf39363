import { useState } from "react";
import styled from "styled-components";
import { Button } from "../kit/Button";
import { EntryField } from "../kit/EntryField";
import { Panel, Quiet, Row } from "../kit/layout";
import { Mark } from "../kit/Mark";
import { Picker } from "../kit/Picker";
import { Choice } from "../kit/Choice";
import type { Learner, Lesson, NewPractice } from "../server/api";
import type { useResults } from "./useResults";

interface Props {
  items: Lesson[];
  circuits: { id: string; label: string }[];
  kept: ReturnType<typeof useResults>;
  /** A job whose circuit is practised on. */
  job: string | undefined;
  isExam: boolean;
  onExam: (isExam: boolean) => void;
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
export function LessonList(props: Props) {
  const { items, circuits, kept, job, isExam, onExam, isBusy, onStart, onMystery } = props;
  const [circuit, setCircuit] = useState(circuits[0]?.id ?? "");
  return (
    <>
      <Panel>
        <Row>
          <EntryField label="Who practises" value={kept.name} onFinish={kept.setName} />
          <Choice
            label="While you work"
            options={HELP}
            value={isExam ? "exam" : "help"}
            onChange={(id) => onExam(id === "exam")}
          />
        </Row>
        <Quiet>
          {kept.name === "" ? "With a name, the shop keeps your results." : pathSaid(kept.learner)}{" "}
          {kept.learner ? (
            <a
              href={`/api/practice/sheet.pdf?name=${encodeURIComponent(kept.name)}`}
              target="_blank"
              rel="noreferrer"
            >
              Sheet to print, PDF
            </a>
          ) : null}
        </Quiet>
      </Panel>
      {job ? (
        <Panel>
          <h2>The circuit of this job</h2>
          <Row $gap={2}>
            <Button tone="act" isDisabled={isBusy} onPress={() => onStart({ job, start: "spongy" })}>
              With air in it
            </Button>
            <Button isDisabled={isBusy} onPress={() => onStart({ job, start: "dry" })}>
              Drained
            </Button>
          </Row>
        </Panel>
      ) : null}
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
              {lesson.teaches ? <p>{lesson.teaches}</p> : null}
              <Quiet>{lesson.goal}</Quiet>
              <Standing lesson={kept.learner?.path.find((each) => each.id === lesson.id)} />
            </li>
          ))}
        </Lessons>
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
    </>
  );
}

const HELP = [
  { id: "help", label: "With help" },
  { id: "exam", label: "As an exam" },
];

function pathSaid(learner: Learner | undefined): string {
  if (!learner) return "";
  const passed = learner.path.filter((each) => each.passed).length;
  const next = learner.path.find((each) => each.next);
  return `${passed} of ${learner.path.length} lessons passed: done twice in a row without a slip.${next ? ` Next: ${next.label}.` : ""}`;
}

/** How far a lesson is passed, and which is next. */
function Standing({ lesson }: { lesson: Learner["path"][number] | undefined }) {
  if (!lesson || (lesson.tries === 0 && !lesson.next)) return null;
  return (
    <p>
      <Mark kind={lesson.passed ? "good" : "quiet"}>
        {lesson.passed
          ? `Passed${lesson.exam_on ? ", also as an exam" : ""}`
          : lesson.tries === 0
            ? "Next"
            : `${lesson.in_a_row} of 2 in a row, ${lesson.tries} ${lesson.tries === 1 ? "try" : "tries"}`}
      </Mark>
    </p>
  );
}
