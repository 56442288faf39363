import { LeverCurve } from "../../drawings/LeverCurve";
import { Saved } from "../../kit/Saved";
import { Column, Panel, Row, Split } from "../../kit/layout";
import { Notice } from "../../kit/Notice";
import { Room, Rooms } from "../../kit/Rooms";
import { useHotkeys } from "../../kit/useHotkeys";
import { NextStage } from "../NextStage";
import { useEntries } from "../useEntries";
import { Unfit } from "../Unfit";
import type { StageProps } from "../StageProps";
import { ChangesTable } from "./ChangesTable";
import { GaugePanel } from "./GaugePanel";
import { HandPanel } from "./HandPanel";
import { HoldTest } from "./HoldTest";
import { LiftTest } from "./LiftTest";
import { MeansPanel } from "./MeansPanel";
import { NormalNow } from "./NormalNow";
import { PreloadTest } from "./PreloadTest";
import { PumpTest } from "./PumpTest";
import { ReadingEntry } from "./ReadingEntry";
import { ReadingList } from "./ReadingList";
import { TestList } from "./TestList";
import { VerdictPanel } from "./VerdictPanel";

const focusOn = (name: string) => () =>
  document.querySelector<HTMLInputElement>(`input[name="${name}"]`)?.focus();

export function FeelStage({ job, view: feel, isOpen: open }: StageProps<"feel">) {
  const { add, undo } = useEntries(job, "feel");
  useHotkeys({
    n: focusOn(feel.clutch ? "lift" : "force"),
    h: focusOn("creep"),
  });
  return (
    <>
      <Unfit said={feel.unfit} />
      {feel.stale ? (
        <Notice tone="warn">
          Readings were taken before the last strokes and no longer apply. Take new readings.
        </Notice>
      ) : null}
      <Split $left="1.6fr">
        <Panel>
          {feel.clutch ? (
            <LiftTest feel={feel} isOpen={open} onMeasure={(lift) => add("lift", { lift })} />
          ) : (
            <>
              {open ? (
                <ReadingEntry feel={feel} onRead={(force, travel) => add("reading", { force, travel })} />
              ) : null}
              <Saved name="lever" label="the lever's curves">
                {(button) => (
                  <>
                    <LeverCurve
                      expected={feel.expected}
                      fitted={feel.fitted}
                      readings={feel.readings}
                      before={feel.before_curve}
                      lastGood={feel.last_good_curve}
                      referenceN={feel.reference_n}
                      control={feel.control}
                    />
                    <Row>{button}</Row>
                  </>
                )}
              </Saved>
            </>
          )}
        </Panel>
        <Column>
          <VerdictPanel feel={feel} onAccept={open ? (reason) => add("accepted", { reason }) : undefined} />
          <NextStage job={job} stage="feel" />
          <NormalNow normal={feel.normal ?? []} />
          <ChangesTable feel={feel} />
        </Column>
      </Split>
      <Rooms start={feel.now?.[0]?.room}>
        {feel.clutch ? null : (
          <Room id="readings" title="Readings" said={`${feel.readings.length} taken`}>
            <ReadingList
              readings={feel.readings}
              isOpen={open}
              onSetAside={(entry) => add("set_aside", { entry, reason: "set aside by the mechanic" })}
              onUndo={undo}
            />
          </Room>
        )}
        {!feel.clutch && open ? (
          <MeansPanel feel={feel} onSay={(kind, data) => add(kind, data)}>
            {feel.sheet ? <GaugePanel job={job} feel={feel} sheet={feel.sheet} /> : null}
          </MeansPanel>
        ) : null}
        {feel.hand ? (
          <HandPanel
            hand={feel.hand}
            control={feel.control}
            isWanted={!feel.passed || feel.by_hand === true}
            isOpen={open}
            onSqueeze={(data) => add("squeeze", data)}
          />
        ) : null}
        <HoldTest
          control={feel.control}
          hold={feel.hold}
          test={feel.hold_test}
          isOpen={open}
          onMeasure={(creep) => add("hold", { creep })}
          onSeries={(times, travels) => add("hold_series", { times, travels })}
        />
        <PumpTest
          feel={feel}
          isOpen={open}
          onMeasure={(travels, rest) => add("pump", { travels, ...(rest === undefined ? {} : { rest }) })}
        />
        {feel.clutch ? null : (
          <PreloadTest feel={feel} isOpen={open} onMeasure={(force) => add("preload", { force })} />
        )}
        <TestList job={job} feel={feel} isOpen={open} />
      </Rooms>
    </>
  );
}
