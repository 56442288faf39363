import { Link } from "react-router";
import { stageNames } from "../../words/stages";
import { Column, Panel, Quiet, Row, Split } from "../../kit/layout";
import { Notice } from "../../kit/Notice";
import { Rooms } from "../../kit/Rooms";
import { Photos } from "../photos/Photos";
import { useEntries } from "../useEntries";
import type { StageProps } from "../StageProps";
import { CureList } from "./CureList";
import { SessionPanel } from "./SessionPanel";
import { DiscPanel } from "./DiscPanel";
import { LevelPanel } from "./LevelPanel";
import { OnHold } from "./OnHold";
import { RecheckPanel } from "./RecheckPanel";
import { Signature } from "./Signature";
import { WalkRound } from "./WalkRound";

export function CloseStage({ job, view: close }: StageProps<"close">) {
  const { add } = useEntries(job, "close");
  return (
    <>
      <Split $left="1.7fr">
        <Column>
          <h2>Release gates</h2>
          <CureList
            cures={close.cures}
            isOpen={!job.signed && !job.stop}
            onCure={(flag) => add("cured", { flag })}
          />
          {(close.aside ?? []).length > 0 && !job.signed ? (
            <Notice tone="warn">
              <strong>Back on the machine</strong>
              <span>{(close.aside ?? []).join("; ")}</span>
            </Notice>
          ) : null}
          <Rooms start={close.now?.[0]?.room}>
            <WalkRound
              close={close}
              isOpen={!job.signed && !job.on_hold}
              onConfirm={(gate, met, name) => add("gate", { gate, met, ...(name ? { name } : {}) })}
              onLeak={(value, place) => add("leak", { value, ...(place ? { place } : {}) })}
              onBatch={(batch) => add("batch", { batch })}
              onRecheck={(on) => add("recheck", { on })}
            />
            {close.level ? (
              <LevelPanel
                level={close.level}
                isOpen={!job.signed}
                onWorn={(part, depth) => add("worn", { part, depth })}
                onLevel={(below) => add("level", { below })}
              />
            ) : null}
            {close.discs ? (
              <DiscPanel
                discs={close.discs}
                isOpen={!job.signed}
                onMeasure={(part, figure, value) => add("disc", { part, figure, value })}
              />
            ) : null}
            {close.sessions ? (
              <SessionPanel
                sessions={close.sessions}
                isOpen={!job.signed}
                onSession={(session) => add("session", { ...session })}
              />
            ) : null}
            <RecheckPanel close={close} />
            <Photos job={job} />
          </Rooms>
        </Column>
        <Column>
          <Panel>
            {job.on_hold ? null : (
              <Signature job={job} close={close} onSign={(name) => add("signed", { name })} />
            )}
            {job.signed ? null : (
              <OnHold
                job={job}
                onHold={(reason, name) => add("held", { reason, name })}
                onResume={() => add("resumed", {})}
              />
            )}
            <Row $gap={1}>
              <a href={`/api/jobs/${job.id}/owner-sheet.pdf`} target="_blank" rel="noreferrer">
                Owner&apos;s sheet, PDF
              </a>
              <a href={`/api/jobs/${job.id}/card.pdf`} target="_blank" rel="noreferrer">
                Job card, PDF
              </a>
            </Row>
            <Quiet>
              CSV:{" "}
              {FILES.map((name) => (
                <span key={name}>
                  <a href={`/api/jobs/${job.id}/${name}.csv`} download>
                    {name}
                  </a>{" "}
                </span>
              ))}
            </Quiet>
            {job.stages
              .filter((stage) => stage.unresolved && stage.id !== "close")
              .map((stage) => (
                <Quiet key={stage.id}>
                  <Link to={`/jobs/${job.id}/${stage.id}`}>{stageNames[stage.id]}</Link>: {stage.unresolved}
                </Quiet>
              ))}
          </Panel>
        </Column>
      </Split>
    </>
  );
}

const FILES = ["readings", "strokes", "torque"];
