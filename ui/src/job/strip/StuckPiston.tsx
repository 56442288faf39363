import styled from "styled-components";
import type { Job, Strip } from "../../server/api";
import { Button } from "../../kit/Button";
import { Quiet, Row } from "../../kit/layout";
import { Mark } from "../../kit/Mark";
import { Notice } from "../../kit/Notice";
import { useEntries } from "../useEntries";

const Rung = styled.li`
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  gap: 0.6rem 1.2rem;
  align-items: center;
  padding: 0.6rem 0;
  border-top: 1px solid ${(p) => p.theme.line};
`;

/** The side road of a piston that does not come: one rung after another, and what is never done. */
export function StuckPiston({ job, strip }: { job: Job; strip: Strip }) {
  const { add } = useEntries(job, "strip");
  const ofUnit = strip.unit ? { unit: strip.unit } : {};
  const next = strip.ladder.find((rung) => !rung.tried);
  const freed = strip.ladder.some((rung) => rung.freed);
  return (
    <>
      {strip.never.map((text) => (
        <Notice key={text} tone="stop">
          {text}
        </Notice>
      ))}
      <ol>
        {strip.ladder.map((rung) => (
          <Rung key={rung.id}>
            <div>
              <strong>{rung.label}</strong>
              <p>{rung.does}</p>
              <Quiet>{rung.caution ? `${rung.limit} ${rung.caution}` : rung.limit}</Quiet>
            </div>
            {rung.tried ? (
              <Mark kind={rung.freed ? "good" : "quiet"}>{rung.freed ? "It came" : "Did not help"}</Mark>
            ) : !freed && rung === next ? (
              <Row $gap={1}>
                <Button onPress={() => add("tried", { method: rung.id, freed: false, ...ofUnit })}>
                  {rung.id === "reject" ? "Renew the cylinder" : "Did not help"}
                </Button>
                {rung.id === "reject" ? null : (
                  <Button
                    tone="act"
                    onPress={() => add("tried", { method: rung.id, freed: true, ...ofUnit })}
                  >
                    It came
                  </Button>
                )}
              </Row>
            ) : null}
          </Rung>
        ))}
      </ol>
    </>
  );
}
