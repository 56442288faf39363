import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import styled from "styled-components";
import type { Choose, Job } from "../../server/api";
import { suppliesQuery } from "../../server/queries";
import { Button } from "../../kit/Button";
import { Loaded } from "../../kit/Loaded";
import type { FarEndSize } from "../../sizer/candidates";
import { Sizer } from "../../sizer/Sizer";
import { NextStage } from "../NextStage";
import { Unfit } from "../Unfit";
import type { StageProps } from "../StageProps";
import { useEntries } from "../useEntries";
import { ClashPanel } from "./ClashPanel";
import { FarEndPanel } from "./FarEndPanel";
import { FluidCheckPanel } from "./FluidCheckPanel";
import { FluidPanel } from "./FluidPanel";
import { HosesPanel } from "./HosesPanel";
import { KitPanels } from "./KitPanel";
import { MatrixPanel } from "./MatrixPanel";
import { PullListPanel } from "./PullListPanel";
import { QuantityPanel } from "./QuantityPanel";

const Bench = styled.div<{ $isList: boolean }>`
  display: grid;
  grid-template-columns: ${(p) => (p.$isList ? "minmax(0, 1fr)" : "minmax(0, 1.45fr) minmax(20rem, 1fr)")};
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

export function ChooseStage({ job, view: choose, isOpen }: StageProps<"choose">) {
  const supplies = useQuery(suppliesQuery(job.id));
  const handlesFluid = choose.handles_fluid ?? true;
  return (
    <Loaded query={supplies} isPart>
      {(data) => (
        <>
          <Unfit said={choose.unfit} />
          {choose.clash ? <ClashPanel job={job} clash={choose.clash} isOpen={isOpen} /> : null}
          <FarEndPanel job={job} choose={choose} isOpen={isOpen} />
          {choose.size_first ? <JobSizer job={job} choose={choose} isOpen={isOpen} /> : null}
          <Bench $isList={!handlesFluid}>
            {handlesFluid ? (
              <Column>
                <FluidPanel job={job} choose={choose} supplies={data} isOpen={isOpen} />
                <HosesPanel job={job} choose={choose} isOpen={isOpen} />
                <KitPanels job={job} choose={choose} supplies={data} isOpen={isOpen} />
                <FluidCheckPanel job={job} choose={choose} check={data.check} isOpen={isOpen} />
                <QuantityPanel job={job} choose={choose} supplies={data} isOpen={isOpen} />
                <MatrixPanel family={data.check.family} materials={data.materials} />
              </Column>
            ) : null}
            <PullListPanel job={job} choose={choose} supplies={data} isOpen={isOpen} />
          </Bench>
          {choose.size_first || !handlesFluid ? null : (
            <OtherCylinders job={job} choose={choose} isOpen={isOpen} />
          )}
          <NextStage job={job} stage="choose" />
        </>
      )}
    </Loaded>
  );
}

interface SizerProps {
  job: Job;
  choose: Choose;
  isOpen: boolean;
}

function JobSizer({ job, choose, isOpen }: SizerProps) {
  const { add } = useEntries(job, "choose");
  const take = (bore: number, pushOffset: number, agreed: string | undefined) =>
    add("cylinder", { bore, push_offset: pushOffset, ...(agreed ? { agreed } : {}) });
  const takeSizes = (sizes: FarEndSize[]) => sizes.forEach((size) => add("size", { ...size }));
  return (
    <Sizer
      key={job.circuit.id}
      start={{ sheet: choose.fitted }}
      circuitId={job.circuit.id}
      jobId={job.id}
      taken={choose.cylinder}
      {...(isOpen && !choose.far_ends ? { onTake: take } : {})}
      {...(isOpen && choose.far_ends ? { onTakeSizes: takeSizes } : {})}
    />
  );
}

/** A job that keeps its cylinder can still look at others. */
function OtherCylinders({ job, choose, isOpen }: SizerProps) {
  const [shows, setShows] = useState(false);
  if (shows) return <JobSizer job={job} choose={choose} isOpen={isOpen} />;
  return (
    <div>
      <Button onPress={() => setShows(true)}>Compare other cylinders</Button>
    </div>
  );
}
