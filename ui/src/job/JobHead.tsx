import { Link } from "react-router";
import styled from "styled-components";
import type { Job } from "../server/api";
import { Button } from "../kit/Button";
import { Row } from "../kit/layout";
import { Mark } from "../kit/Mark";
import { Notice } from "../kit/Notice";
import { useHotkeys } from "../kit/useHotkeys";
import { KeyHelp } from "./KeyHelp";
import { RefusedEntries } from "./RefusedEntries";
import { STAGE_KEYS } from "./stageKeys";
import type { Shown } from "./StageProps";
import { Worker } from "./Worker";
import { stageNames, stageQuestions } from "../words/stages";

const Head = styled.header`
  display: flex;
  flex-wrap: wrap;
  gap: 0.3rem 1.5rem;
  align-items: baseline;
  justify-content: space-between;
  p {
    color: ${(p) => p.theme.quiet};
  }
  h1 small {
    font-size: 1.05rem;
    font-weight: 400;
    letter-spacing: 0;
    color: ${(p) => p.theme.quiet};
    padding-left: 0.6rem;
  }
`;

interface Props {
  job: Job;
  stage: Shown;
  /** Opens the one thing to do now over the whole screen. */
  onBench: () => void;
}

export function JobHead({ job, stage, onBench }: Props) {
  useHotkeys({ v: job.signed ? undefined : onBench });
  return (
    <>
      <Head>
        <h1>
          {stageNames[stage]}
          <small>{stageQuestions[stage]}</small>
        </h1>
        <Row>
          <Link to={`/machines/${job.machine.id}?circuit=${job.circuit.id}`}>
            {job.machine.name}: {job.circuit.name}
          </Link>
          {job.signed ? null : <Worker />}
          {job.signed ? null : (
            <Button hotkey="V" onPress={onBench}>
              Bench view
            </Button>
          )}
          <KeyHelp keys={STAGE_KEYS[stage]} />
          {job.signed ? <Mark kind="good">Signed off</Mark> : null}
        </Row>
      </Head>
      {job.stop && stage !== "ask" ? (
        <Notice tone="stop" live>
          <strong>Do not use.</strong> {job.stop}
        </Notice>
      ) : null}
      {job.on_hold ? (
        <Notice tone="stop">
          <strong>On hold, not released.</strong> {job.on_hold.reason}. It is resumed under Close.
        </Notice>
      ) : null}
      {job.do_not_use && !job.stop && !job.on_hold && stage !== "ask" ? (
        <Notice tone="warn">
          <strong>Do not use the machine.</strong> {job.do_not_use}. This job puts it right.
        </Notice>
      ) : null}
      <RefusedEntries key={stage} jobId={job.id} isSigned={job.signed} />
    </>
  );
}
