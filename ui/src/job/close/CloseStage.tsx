import { Link } from "react-router";
import { stageNames } from "../../words/stages";
import { Panel, Quiet, Split } from "../../kit/layout";
import { Photos } from "../Photos";
import { useEntries } from "../useEntries";
import type { StageProps } from "../StageProps";
import { CureList } from "./CureList";
import { GateList } from "./GateList";
import { Signature } from "./Signature";

export function CloseStage({ job, view: close }: StageProps<"close">) {
  const { add } = useEntries(job, "close");
  return (
    <>
      <Split $left="1.7fr">
        <Panel>
          <h2>Release gates</h2>
          <CureList
            cures={close.cures}
            isOpen={!job.signed && !job.stop}
            onCure={(flag) => add("cured", { flag })}
          />
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
    </>
  );
}
