import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import type { BleedVerdicts, Choose, Job } from "../../server/api";
import { asItStands, bleedVerdictsQuery, stageQuery } from "../../server/queries";
import { HeightProfile } from "../../drawings/HeightProfile";
import { FoldingPanel } from "../../kit/FoldingPanel";
import { Quiet, Split } from "../../kit/layout";
import { Loaded } from "../../kit/Loaded";
import { Notice } from "../../kit/Notice";
import { MethodList } from "./MethodList";
import { Supposed } from "./Supposed";

interface Props {
  job: Job;
  isOpen: boolean;
  /** Strokes are being counted: the method is chosen. */
  isUnderway: boolean;
}

/** Before the first stroke: which method carries the air of this line out, where another would leave it, and why. */
export function LinePanel({ job, isOpen, isUnderway }: Props) {
  const choose = useQuery(stageQuery(job.id, "choose"));
  return (
    <FoldingPanel title="Will it move the air?" isFolded={isUnderway}>
      <Loaded query={choose} isPart>
        {(data) => (data.choose ? <Line job={job} choose={data.choose} isOpen={isOpen} /> : null)}
      </Loaded>
    </FoldingPanel>
  );
}

function Line({ job, choose, isOpen }: { job: Job; choose: Choose; isOpen: boolean }) {
  const [supposed, setSupposed] = useState(asItStands);
  const verdicts = useQuery(bleedVerdictsQuery(choose.sheet, supposed));
  const [shown, setShown] = useState<string>();
  if (verdicts.isError) return <Notice tone="warn">{verdicts.error.message}</Notice>;
  if (!verdicts.data) return <Quiet>Working it out…</Quiet>;
  const method = atHand(verdicts.data, shown ?? choose.method);
  return (
    <Split $left="1.25fr">
      <div>
        {verdicts.data.ways.map((way, at) => (
          <figure key={way.far_end}>
            <figcaption>
              <strong>{way.label}</strong>
              {method ? <Quiet>{`Under: ${method.label}`}</Quiet> : null}
            </figcaption>
            <HeightProfile way={way} legs={method?.legs[at]} />
          </figure>
        ))}
        <Quiet>
          Judged from the lengths, bores, heights and high spots in this circuit's record. Where they are
          defaults, so is this.
        </Quiet>
        <Supposed supposed={supposed} onChange={setSupposed} />
      </div>
      <MethodList
        job={job}
        verdicts={verdicts.data}
        chosen={choose.method}
        shown={method?.id}
        isOpen={isOpen}
        onShow={setShown}
      />
    </Split>
  );
}

function atHand(verdicts: BleedVerdicts, id: string) {
  return verdicts.methods.find((each) => each.id === id) ?? verdicts.methods[0];
}
