import { Link } from "react-router";
import type { Job } from "../../app/api";
import { stageNames } from "../stages";
import { Panel, Quiet, Split } from "../../kit/layout";
import { Cautions } from "../Cautions";
import { Photos } from "../Photos";
import { useEntries } from "../useEntries";
import { GateList } from "./GateList";
import { Signature } from "./Signature";

export function CloseStage({ job }: { job: Job }) {
  const { add } = useEntries(job, "close");
  const close = job.close;
  if (!close) return null;
  return (
    <>
      <Split $left="1.7fr">
        <Panel>
          <h2>Release gates</h2>
          <GateList
            gates={close.gates}
            isOpen={!job.signed}
            onConfirm={(gate, met) => add("gate", { gate, met })}
          />
        </Panel>
        <Panel>
          <Signature job={job} close={close} onSign={(name) => add("signed", { name })} />
          <Quiet>
            <a href={`/api/jobs/${job.id}/card.pdf`} target="_blank" rel="noreferrer">
              Job card, PDF
            </a>
          </Quiet>
          {job.stages
            .filter((stage) => stage.unresolved && stage.id !== "close")
            .map((stage) => (
              <Quiet key={stage.id}>
                <Link to={`/jobs/${job.id}/${stage.id}`}>{stageNames[stage.id]}</Link>: {stage.unresolved}
              </Quiet>
            ))}
        </Panel>
      </Split>
      <Photos job={job} />
      <Cautions stage="close" />
    </>
  );
}
