import { useMutation } from "@tanstack/react-query";
import styled from "styled-components";
import { Button } from "../kit/Button";
import { Column, Panel, Quiet, Row, Split } from "../kit/layout";
import { Mark } from "../kit/Mark";
import { Notice } from "../kit/Notice";
import type { Mystery } from "../server/api";
import { answer, client } from "../server/client";

interface Props {
  mystery: Mystery;
  onTried: (mystery: Mystery) => void;
  onAgain: () => void;
  onLeave: () => void;
}

const Tests = styled.ul`
  li {
    display: grid;
    grid-template-columns: minmax(0, 1fr) auto;
    gap: 0.2rem 1rem;
    align-items: center;
    min-height: 3.6rem;
    padding: 0.4rem 0;
    border-top: 1px solid ${(p) => p.theme.line};
  }
  small {
    display: block;
    color: ${(p) => p.theme.quiet};
  }
`;

const Aside = styled(Column)`
  position: sticky;
  top: 1rem;
`;

const NOW = "Tells most now";

/** What would tell most now; then everything by what is tested in one go. */
function walksOf(tests: Mystery["tests"], isOver: boolean): [string, Mystery["tests"]][] {
  const walks = new Map<string, Mystery["tests"]>();
  for (const test of tests) {
    const walk = test.best && !isOver ? NOW : test.walk;
    walks.set(walk, [...(walks.get(walk) ?? []), test]);
  }
  return [...walks].sort(([one], [other]) => Number(other === NOW) - Number(one === NOW));
}

/** A lever with something hidden: tests are done on it, causes rank by what comes of them, and one names the cause. */
export function MysteryLever({ mystery, onTried, onAgain, onLeave }: Props) {
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
  const truth = named.data;
  const tests = `${mystery.tried} ${mystery.tried === 1 ? "test" : "tests"}`;
  return (
    <Split $left="1.5fr">
      <Panel>
        <h2>Mystery lever</h2>
        {mystery.says.map((said) => (
          <p key={said}>{`“${said}”`}</p>
        ))}
        <Quiet>
          One caliper on a road front. Try, and name what is wrong; now and then it is two things.
        </Quiet>
        {tried.isError ? <Notice tone="stop">{tried.error.message}</Notice> : null}
        {walksOf(mystery.tests, Boolean(truth)).map(([walk, found]) => (
          <section key={walk}>
            <h3>{walk}</h3>
            <Tests aria-label={walk}>
              {found.map((test) => (
                <li key={test.id}>
                  <div>
                    <strong>{test.label}</strong>
                    <small>{`${test.how} ${test.minutes} min.`}</small>
                  </div>
                  {test.said ? (
                    <strong>{test.said}</strong>
                  ) : (
                    <Button
                      aria-label={`Try: ${test.label}`}
                      tone={test.best && !truth ? "act" : "plain"}
                      isDisabled={tried.isPending || Boolean(truth)}
                      onPress={() => tried.mutate(test.id)}
                    >
                      Try
                    </Button>
                  )}
                </li>
              ))}
            </Tests>
          </section>
        ))}
      </Panel>
      <Aside>
        <Panel>
          <h2>What it points to</h2>
          <ol aria-label="Causes">
            {mystery.ranks.map((rank) => (
              <li key={rank.id}>{`${Math.round(rank.share * 100)} %  ${rank.label}`}</li>
            ))}
          </ol>
          <Quiet>{`${tests}, ${mystery.minutes} min so far.`}</Quiet>
        </Panel>
        <Panel>
          {truth ? (
            <>
              <h2>{truth.right ? "Right" : "Not that"}</h2>
              {truth.causes.map((cause) => (
                <p key={cause.id}>
                  <Mark kind={truth.right ? "good" : "stop"}>{cause.label}</Mark>
                  {` Put right by: ${cause.route}.`}
                </p>
              ))}
              <Quiet>{`Named after ${tests}; five are often enough.`}</Quiet>
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
                  <Button key={cause.id} isDisabled={named.isPending} onPress={() => named.mutate(cause.id)}>
                    {cause.label}
                  </Button>
                ))}
              </Row>
            </>
          )}
        </Panel>
      </Aside>
    </Split>
  );
}
