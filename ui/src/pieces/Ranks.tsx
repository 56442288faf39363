import styled from "styled-components";
import type { Ask, Knowledge } from "../server/api";
import { figure } from "../kit/format";
import { Button } from "../kit/Button";
import { Quiet, Row } from "../kit/layout";
import { Mark } from "../kit/Mark";

interface Props {
  ranks: Ask["ranks"];
  findings: Knowledge["findings"];
  isEmpty: boolean;
  /** The repair to go on to where the first one did not cure it. */
  onRoute?: (route: string, reason: string) => void;
}

const List = styled.ol`
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 0.4rem;
  details {
    border-radius: 0.4rem;
    background: ${(p) => p.theme.sunk};
  }
  summary {
    position: relative;
    min-height: 3rem;
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    justify-content: space-between;
    gap: 0.2rem 0.8rem;
    padding: 0.3rem 0.8rem;
    cursor: pointer;
    font-weight: 650;
  }
  summary i {
    position: absolute;
    left: 0;
    bottom: 0;
    height: 5px;
    background: ${(p) => p.theme.act};
  }
  details > div {
    padding: 0.4rem 0.8rem 0.8rem;
    display: grid;
    gap: 0.4rem;
  }
`;

const STEPS: Record<number, string> = {
  2: "strongly for",
  1: "for",
  [-1]: "against",
  [-2]: "strongly against",
};

/** Causes by share; each opens to the findings that spoke for and against it, and by how much. */
export function Ranks({ ranks, findings, isEmpty, onRoute }: Props) {
  const said = (id: string, value: string) => {
    const finding = findings.find((each) => each.id === id);
    return finding ? `${finding.label}: ${finding.values[value] ?? value}` : id;
  };
  return (
    <>
      {isEmpty ? <Quiet>Before anything is found: how common each fault is.</Quiet> : null}
      <List aria-label="Causes, likeliest first">
        {ranks.map((rank) => (
          <li key={rank.cause}>
            <details>
              <summary>
                <span>{rank.label}</span>
                <span>
                  {rank.proof === undefined ? null : <Mark kind="good">proven</Mark>}{" "}
                  {figure(rank.share * 100, 0)} %
                </span>
                <i style={{ width: `${Math.max(1, rank.share * 100)}%` }} />
              </summary>
              <div>
                {rank.evidence.length === 0 ? <Quiet>No finding speaks for or against it yet.</Quiet> : null}
                <ul>
                  {rank.evidence.map((move) => (
                    <li key={`${move.finding}.${move.value}`}>
                      {said(move.finding, move.value)}, <b>{STEPS[move.steps]}</b>
                    </li>
                  ))}
                </ul>
                {rank.proof ? <Quiet>{rank.proof}</Quiet> : null}
                <Quiet>{rank.also}</Quiet>
                <Quiet>If it stays: {rank.if_stays}</Quiet>
                {onRoute && (rank.then ?? []).length > 0 ? (
                  <Row $gap={1}>
                    {(rank.then ?? []).map((next) => (
                      <Button
                        key={next.id}
                        onPress={() => onRoute(next.id, `${rank.label}: it stayed after the first repair`)}
                      >
                        {`It stayed: ${next.label}`}
                      </Button>
                    ))}
                  </Row>
                ) : null}
              </div>
            </details>
          </li>
        ))}
      </List>
    </>
  );
}
