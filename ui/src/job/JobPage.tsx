import { useQuery } from "@tanstack/react-query";
import { lazy, Suspense, useState } from "react";
import type { ComponentType } from "react";
import { Navigate, useParams } from "react-router";
import styled from "styled-components";
import { Loaded } from "../kit/Loaded";
import { Quiet } from "../kit/layout";
import { PHONE } from "../kit/tokens";
import { useTitle } from "../kit/useTitle";
import type { Job } from "../server/api";
import { jobQuery, stageQuery } from "../server/queries";
import { stageNames } from "../words/stages";
import { BenchView } from "./benchview/BenchView";
import { Cautions } from "./Cautions";
import { JobHead } from "./JobHead";
import { NowPanel } from "./now/NowPanel";
import { hasOwnLead } from "./now/ownLead";
import { Spine } from "./Spine";
import type { Shown, StageProps } from "./StageProps";
import { stageRooms } from "./stageRooms";
import { UndoKey } from "./UndoKey";

const PAGES: Record<string, ComponentType<StageProps<Shown>>> = Object.fromEntries(
  Object.entries(stageRooms).map(([id, room]) => [id, lazy(async () => ({ default: await room() }))]),
);

const Frame = styled.div`
  display: grid;
  grid-template-columns: 12.5rem minmax(0, 1fr);
  min-height: calc(100vh - 3.9rem);
  @media (max-width: 60rem) {
    grid-template-columns: 10.5rem minmax(0, 1fr);
  }
  @media ${PHONE} {
    grid-template-columns: minmax(0, 1fr);
    align-content: start;
  }
`;

const Work = styled.main`
  padding: 1.1rem 1.6rem 2rem;
  display: grid;
  gap: 1.1rem;
  align-content: start;
  min-width: 0;
  @media ${PHONE} {
    padding: 0.75rem 0.75rem 2rem;
  }
`;

export function JobPage() {
  const { id = "", stage } = useParams();
  const query = useQuery(jobQuery(id));
  return <Loaded query={query}>{(job) => <JobFrame job={job} stage={stage} />}</Loaded>;
}

function JobFrame({ job, stage }: { job: Job; stage: string | undefined }) {
  const shown = job.stages.find((each) => each.id === stage)?.id ?? job.current;
  useTitle(`${job.machine.name} · ${stageNames[shown]}`);
  const [isBench, setBench] = useState(false);
  if (shown !== stage) return <Navigate to={`/jobs/${job.id}/${shown}`} replace />;
  if (isBench) return <BenchView job={job} stage={shown as Shown} onLeave={() => setBench(false)} />;
  return (
    <Frame>
      <Spine job={job} shown={shown} />
      <Work>
        <JobHead job={job} stage={shown as Shown} onBench={() => setBench(true)} />
        <Suspense fallback={<Quiet>Fetching…</Quiet>}>
          <StageFrame key={shown} job={job} stage={shown as Shown} />
        </Suspense>
      </Work>
    </Frame>
  );
}

function StageFrame({ job, stage }: { job: Job; stage: Shown }) {
  const query = useQuery(stageQuery(job.id, stage));
  const Page = PAGES[stage];
  const isOpen = !job.signed && !job.stop && !job.on_hold;
  return (
    <Loaded query={query} isPart>
      {(answer) => {
        const view = answer[stage];
        return view && Page ? (
          <>
            {hasOwnLead(stage, view.now?.[0]) ? null : (
              <NowPanel job={job} stage={stage} cards={view.now ?? []} recent={view.recent} />
            )}
            <Page job={job} view={view} isOpen={isOpen} />
            <UndoKey job={job} stage={stage} recent={view.recent} isOpen={!job.signed && !job.on_hold} />
            <Cautions cautions={view.cautions} />
          </>
        ) : null;
      }}
    </Loaded>
  );
}
