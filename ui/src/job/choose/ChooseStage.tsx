import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import styled from "styled-components";
import type { Job } from "../../app/api";
import { suppliesQuery } from "../../app/queries";
import { Button } from "../../kit/Button";
import { Loaded } from "../../kit/Loaded";
import { Sizer } from "../../sizer/Sizer";
import { Cautions } from "../Cautions";
import { NextStage } from "../NextStage";
import { useEntries } from "../useEntries";
import { FluidCheckPanel } from "./FluidCheckPanel";
import { FluidPanel } from "./FluidPanel";
import { KitPanel } from "./KitPanel";
import { MatrixPanel } from "./MatrixPanel";
import { PullListPanel } from "./PullListPanel";
import { QuantityPanel } from "./QuantityPanel";

const Bench = styled.div`
  display: grid;
  grid-template-columns: minmax(0, 1.45fr) minmax(20rem, 1fr);
  gap: 1.5rem;
  align-items: start;
  @media (max-width: 68rem) {
    grid-template-columns: minmax(0, 1fr);
  }
`;

const Column = styled.div`
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 1.5rem;
`;

export function ChooseStage({ job }: { job: Job }) {
  const supplies = useQuery(suppliesQuery(job.id));
  const isOpen = !job.signed && !job.stop;
  return (
    <Loaded query={supplies} isPart>
      {(data) => (
        <>
          {job.choose?.size_first ? <JobSizer job={job} isOpen={isOpen} /> : null}
          <Bench>
            <Column>
              {data.cylinder ? <KitPanel job={job} supplies={data} isOpen={isOpen} /> : null}
              <FluidPanel job={job} supplies={data} isOpen={isOpen} />
              <FluidCheckPanel job={job} check={data.check} isOpen={isOpen} />
              <QuantityPanel job={job} supplies={data} isOpen={isOpen} />
              <MatrixPanel family={data.check.family} materials={data.materials} />
            </Column>
            <PullListPanel job={job} supplies={data} isOpen={isOpen} />
          </Bench>
          {job.choose?.size_first ? null : <OtherCylinders job={job} isOpen={isOpen} />}
          <NextStage job={job} stage="choose" />
          <Cautions stage="choose" />
        </>
      )}
    </Loaded>
  );
}

function JobSizer({ job, isOpen }: { job: Job; isOpen: boolean }) {
  const { add } = useEntries(job, "choose");
  const take = (bore: number, pushOffset: number, agreed: string | undefined) =>
    add("cylinder", { bore, push_offset: pushOffset, ...(agreed ? { agreed } : {}) });
  return (
    <Sizer
      key={job.circuit.id}
      start={{ sheet: job.fitted }}
      circuitId={job.circuit.id}
      jobId={job.id}
      taken={job.choose?.cylinder}
      {...(isOpen ? { onTake: take } : {})}
    />
  );
}

/** A job that keeps its cylinder can still look at others. */
function OtherCylinders({ job, isOpen }: { job: Job; isOpen: boolean }) {
  const [shows, setShows] = useState(false);
  if (shows) return <JobSizer job={job} isOpen={isOpen} />;
  return (
    <div>
      <Button onPress={() => setShows(true)}>Compare other cylinders</Button>
    </div>
  );
}
