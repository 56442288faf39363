import { useMutation, useQuery } from "@tanstack/react-query";
import { useState } from "react";
import styled from "styled-components";
import { FoundSoFar } from "../pieces/FoundSoFar";
import { NextTests } from "../pieces/NextTests";
import { Ranks } from "../pieces/Ranks";
import { Button } from "../kit/Button";
import { Column, Panel, Quiet, Row, Split } from "../kit/layout";
import { Loaded } from "../kit/Loaded";
import { Mark } from "../kit/Mark";
import { Notice } from "../kit/Notice";
import type { Knowledge, Mystery } from "../server/api";
import { answer, client } from "../server/client";
import { knowledgeQuery } from "../server/queries";

interface Props {
  mystery: Mystery;
  onTried: (mystery: Mystery) => void;
  onAgain: () => void;
  onLeave: () => void;
}

const Aside = styled(Column)`
  position: sticky;
  top: 1rem;
`;

/** A lever with something hidden, asked as any job is asked; the lever answers, and one names the cause. */
export function MysteryLever({ mystery, onTried, onAgain, onLeave }: Props) {
  const knowledge = useQuery(knowledgeQuery);
  const path = { params: { path: { id: mystery.id } } };
  const tried = useMutation({
    mutationFn: (finding: string) =>
      answer(client.POST("/practice/mysteries/{id}/tests", { ...path, body: { finding } })),
    onSuccess: onTried,
  });
  const named = useMutation({
    mutationFn: (cause: string) =>
      answer(client.POST("/practice/mysteries/{id}/answers", { ...path, body: { cause } })),
  });
  const isOver = Boolean(named.data);
  const attempt = (finding: string) => {
    if (!tried.isPending) tried.mutate(finding);
  };
  const count = `${mystery.tried.length} ${mystery.tried.length === 1 ? "test" : "tests"}`;
  return (
    <Loaded query={knowledge} isPart>
      {({ findings }) => (
        <Split $left="1.35fr">
          <Column>
            <Panel>
              <h2>Mystery lever</h2>
              {mystery.says.map((said) => (
                <p key={said}>{`“${said}”`}</p>
              ))}
              <Quiet>{`${mystery.circuit.label}. Try, and name what is wrong; now and then it is two things.`}</Quiet>
              {tried.isError ? <Notice tone="stop">{tried.error.message}</Notice> : null}
              <FoundSoFar found={mystery.findings} findings={findings} isOpen={false} />
              <ToldNothing mystery={mystery} findings={findings} />
            </Panel>
            {isOver ? null : (
              <>
                <NextTests tests={mystery.next_tests} findings={findings} onTry={attempt} />
                <EveryTest mystery={mystery} findings={findings} onTry={attempt} />
              </>
            )}
          </Column>
          <Aside>
            <Panel>
              <h2>What it points to</h2>
              <Ranks
                ranks={mystery.ranks}
                findings={findings}
                isEmpty={Object.keys(mystery.findings).length === 0}
              />
              <Quiet>{`${count}, ${mystery.minutes} min so far.`}</Quiet>
            </Panel>
            <Panel>
              {named.data ? (
                <>
                  <h2>{named.data.right ? "Right" : "Not that"}</h2>
                  {named.data.causes.map((cause) => (
                    <p key={cause.id}>
                      <Mark kind={named.data.right ? "good" : "stop"}>{cause.label}</Mark>
                      {` Put right by: ${cause.route}.`}
                    </p>
                  ))}
                  <Quiet>{`Named after ${count}; five are often enough.`}</Quiet>
                  <Row $gap={1}>
                    <Button tone="act" onPress={onAgain}>
                      Another lever
                    </Button>
                    <Button onPress={onLeave}>Lessons</Button>
                  </Row>
                </>
              ) : (
                <>
                  <h2>It is</h2>
                  <Row $gap={1}>
                    {mystery.causes.map((cause) => (
                      <Button
                        key={cause.id}
                        isDisabled={named.isPending}
                        onPress={() => named.mutate(cause.id)}
                      >
                        {cause.label}
                      </Button>
                    ))}
                  </Row>
                </>
              )}
            </Panel>
          </Aside>
        </Split>
      )}
    </Loaded>
  );
}

interface Tests {
  mystery: Mystery;
  findings: Knowledge["findings"];
}

/** Tests that were done and say nothing either way. */
function ToldNothing({ mystery, findings }: Tests) {
  const nothing = findings.filter((each) => mystery.tried.includes(each.id) && !mystery.findings[each.id]);
  return nothing.length > 0 ? (
    <Quiet>{`Told nothing: ${nothing.map((each) => each.label).join(", ")}.`}</Quiet>
  ) : null;
}

/** Whatever else can be tried on it. */
function EveryTest({ mystery, findings, onTry }: Tests & { onTry: (finding: string) => void }) {
  const [isShown, setShown] = useState(false);
  const open = findings.filter(
    (each) => mystery.askable.includes(each.id) && !mystery.tried.includes(each.id),
  );
  return (
    <Panel>
      <Row>
        <Button onPress={() => setShown(!isShown)}>{isShown ? "Hide the list" : "Every test"}</Button>
      </Row>
      {isShown ? (
        <Row $gap={1}>
          {open.map((finding) => (
            <Button key={finding.id} onPress={() => onTry(finding.id)}>
              {`${finding.label}, ${finding.minutes} min`}
            </Button>
          ))}
        </Row>
      ) : null}
    </Panel>
  );
}
