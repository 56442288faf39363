import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { Link } from "react-router";
import type { Bleed, BleedVerdicts, Job } from "../../server/api";
import { asItStands, bleedVerdictsQuery } from "../../server/queries";
import { HeightProfile } from "../../drawings/HeightProfile";
import { FoldingPanel } from "../../kit/FoldingPanel";
import { Saved } from "../../kit/Saved";
import { Quiet, Row, Split } from "../../kit/layout";
import { Notice } from "../../kit/Notice";
import { unhurried } from "../../kit/unhurried";
import { AtHand } from "./AtHand";
import { MethodList } from "./MethodList";
import { Supposed } from "./Supposed";

interface Props {
  job: Job;
  bleed: Bleed;
}

/** Before the first stroke: which method carries the air of this line out, where another would leave it, and why. */
export const LinePanel = unhurried(function LinePanel({ job, bleed }: Props) {
  const [supposed, setSupposed] = useState(asItStands);
  const verdicts = useQuery(bleedVerdictsQuery(job.id, bleed, supposed));
  const [shown, setShown] = useState<string>();
  const method = verdicts.data && atHand(verdicts.data, shown ?? bleed.method.id);
  return (
    <FoldingPanel title="Will it move the air?" isFolded={bleed.begun}>
      {verdicts.isError ? <Notice tone="warn">{verdicts.error.message}</Notice> : null}
      {verdicts.data ? (
        <Split $left="1.25fr">
          <div style={{ display: "grid", gap: "1rem" }}>
            {verdicts.data.ways.map((way, at) => (
              <Saved key={way.far_end} name={`heights-${way.far_end}`} label={`the way to ${way.label}`}>
                {(button) => (
                  <figure style={{ margin: 0 }}>
                    <figcaption>
                      <Row>
                        <strong>{way.label}</strong>
                        {button}
                      </Row>
                      {method ? <Quiet>{`Under: ${method.label}`}</Quiet> : null}
                    </figcaption>
                    <HeightProfile way={way} legs={method?.legs[at]} />
                  </figure>
                )}
              </Saved>
            ))}
            <Quiet>
              Judged from the lengths, bores, heights and high spots in this circuit&apos;s record. Where they
              are defaults, so is this.
            </Quiet>
            <AtHand job={job} bleed={bleed} />
            <Link to={`/practice?job=${job.id}`}>Practise on this circuit</Link>
            <Supposed supposed={supposed} offers={verdicts.data.offers} onChange={setSupposed} />
          </div>
          <MethodList
            job={job}
            bleed={bleed}
            supposed={supposed}
            verdicts={verdicts.data}
            shown={method?.id}
            onShow={setShown}
          />
        </Split>
      ) : (
        <Quiet>Working it out…</Quiet>
      )}
    </FoldingPanel>
  );
});

function atHand(verdicts: BleedVerdicts, id: string) {
  return verdicts.methods.find((each) => each.id === id) ?? verdicts.methods[0];
}
