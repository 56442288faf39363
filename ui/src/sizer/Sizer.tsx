import { useRef } from "react";
import styled from "styled-components";
import type { SizingRequest } from "../server/api";
import { useUnits } from "../server/useUnits";
import { SizingPlot } from "../drawings/SizingPlot";
import { Choice } from "../kit/Choice";
import { Button } from "../kit/Button";
import { Panel, Quiet, Row } from "../kit/layout";
import { Notice } from "../kit/Notice";
import { useArrived } from "../kit/useArrived";
import { BalancePanel } from "./BalancePanel";
import type { FarEndSize } from "./candidates";
import { Exports } from "./Exports";
import { PickedCylinders } from "./PickedCylinders";
import { SizingTable } from "./SizingTable";
import { TargetFields } from "./TargetFields";
import { useSizing } from "./useSizing";
import { WhatIf } from "./WhatIf";

interface Props {
  start: SizingRequest;
  circuitId: string;
  jobId?: string;
  /** Takes a cylinder into the job; absent where there is no job. */
  onTake?: (bore: number, pushOffset: number, agreed: string | undefined) => void;
  /** Takes other sizes of the far ends into the job; absent where the job leaves them alone. */
  onTakeSizes?: (sizes: FarEndSize[]) => void;
  taken?: { bore: number; push_offset: number } | undefined;
}

/** Plot beside what was picked where there is room, above it where there is not. */
const SideBySide = styled.div`
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(min(100%, 31rem), 1fr));
  gap: 1rem 1.5rem;
  align-items: start;
`;

const Picked = styled.div`
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 0.9rem;
`;

/** Which cylinder, and what will it feel like: the same on its own page and in a job. */
export function Sizer({ start, circuitId, jobId, onTake, onTakeSizes, taken }: Props) {
  const sizing = useSizing(start);
  const units = useUnits();
  const plot = useRef<SVGSVGElement>(null);
  const { data, error, refused } = sizing;
  const isThere = useArrived(data);
  const refusedOwn = sizing.own[Number(refused?.pointer.match(/^candidates\/(\d+)/)?.[1])];
  return (
    <>
      <BalancePanel circuitId={circuitId} />
      <Panel>
        <h2>Effort against travel</h2>
        {error ? (
          <Notice tone="warn" live>
            <Row>
              <span>{error.message}</span>
              {refusedOwn?.key ? (
                <Button onPress={() => sizing.forget(refusedOwn.key ?? "")}>Leave it out</Button>
              ) : null}
            </Row>
          </Notice>
        ) : null}
        {isThere && data ? (
          <>
            <Quiet>
              At the {data.why}: {units.say("pressure", data.pressure_mpa, 2)}. The box is what is wanted;
              defaults are not a specification.
            </Quiet>
            <TargetFields key={JSON.stringify(start.sheet)} sizing={sizing} />
            <Choice
              label="Cylinders beside the fitted one"
              isLabelHidden
              options={[
                { id: "usual", label: "The usual ones" },
                { id: "all", label: "Every usual bore and offset" },
                { id: "none", label: "Only mine" },
              ]}
              value={sizing.request.cylinders}
              onChange={(id) => sizing.setCylinders(id as "usual" | "all" | "none")}
            />
            <SideBySide>
              <SizingPlot ref={plot} sizing={data} picked={sizing.picked} onPick={sizing.pick} />
              <Picked>
                <PickedCylinders
                  sizing={sizing}
                  data={data}
                  onTake={onTake}
                  onTakeSizes={onTakeSizes}
                  taken={taken}
                />
              </Picked>
            </SideBySide>
            <WhatIf sizing={sizing} />
            <SizingTable
              rows={data.rows}
              picked={sizing.picked}
              own={sizing.own}
              onPick={sizing.pick}
              onForget={sizing.forget}
            />
            <Exports sizing={sizing} plot={plot} circuitId={circuitId} jobId={jobId} />
          </>
        ) : (
          <Quiet>Working it out…</Quiet>
        )}
      </Panel>
    </>
  );
}
