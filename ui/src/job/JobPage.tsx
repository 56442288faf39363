import { useQuery } from "@tanstack/react-query";
import { lazy, Suspense } from "react";
import type { ComponentType } from "react";
import { Navigate, useParams } from "react-router";
import styled from "styled-components";
import type { Job, Stage } from "../app/api";
import { jobQuery } from "../app/queries";
import { rooms } from "../app/rooms";
import { Quiet } from "../kit/layout";
import { Loaded } from "../kit/Loaded";
import { useTitle } from "../kit/useTitle";
import { AskStage } from "./ask/AskStage";
import { BleedStage } from "./bleed/BleedStage";
import { CloseStage } from "./close/CloseStage";
import { FeelStage } from "./feel/FeelStage";
import { JobHead } from "./JobHead";
import { Spine } from "./Spine";
import { stageNames } from "./stages";

/** Stages fetched when they are entered; those of every job come with the page. */
const ChooseStage = lazy(async () => ({ default: (await rooms.choose()).ChooseStage }));

const StripStage = lazy(async () => ({ default: (await rooms.strip()).StripStage }));
const MeasureStage = lazy(async () => ({ default: (await rooms.measure()).MeasureStage }));
const BuildStage = lazy(async () => ({ default: (await rooms.build()).BuildStage }));

const STAGES: Partial<Record<Stage, ComponentType<{ job: Job }>>> = {
  ask: AskStage,
  choose: ChooseStage,
  strip: StripStage,
  measure: MeasureStage,
  build: BuildStage,
  bleed: BleedStage,
  feel: FeelStage,
  close: CloseStage,
};

const Frame = styled.div`
  display: grid;
  grid-template-columns: 12.5rem minmax(0, 1fr);
  min-height: calc(100vh - 3.9rem);
  @media (max-width: 60rem) {
    grid-template-columns: 10.5rem minmax(0, 1fr);
  }
`;

const Work = styled.main`
  padding: 1.1rem 1.6rem 2rem;
  display: grid;
  gap: 1.1rem;
  align-content: start;
  min-width: 0;
`;

export function JobPage() {
  const { id = "", stage } = useParams();
  const query = useQuery(jobQuery(id));
  return <Loaded query={query}>{(job) => <JobFrame job={job} stage={stage} />}</Loaded>;
}

function JobFrame({ job, stage }: { job: Job; stage: string | undefined }) {
  const shown = job.stages.find((each) => each.id === stage)?.id;
  useTitle(`${job.machine.name} · ${stageNames[shown ?? job.current]}`);
  if (!shown) return <Navigate to={`/jobs/${job.id}/${job.current}`} replace />;
  const Shown = STAGES[shown];
  return (
    <Frame>
      <Spine job={job} />
      <Work>
        <JobHead job={job} stage={shown} />
        <Suspense fallback={<Quiet>Fetching…</Quiet>}>{Shown ? <Shown job={job} /> : null}</Suspense>
      </Work>
    </Frame>
  );
}
