import { useQuery } from "@tanstack/react-query";
import type { Bleed, Job } from "../../server/api";
import { asItStands, bleedVerdictsQuery } from "../../server/queries";
import { HeightProfile } from "../../drawings/HeightProfile";
import { Quiet } from "../../kit/layout";
import { fluidColours } from "../../kit/tokens";
import { Mark } from "../../kit/Mark";
import { unhurried } from "../../kit/unhurried";
import { VERDICTS } from "./verdictSaid";

interface Props {
  job: Job;
  bleed: Bleed;
  /** The point at hand: of a far end, one of its nipples, or the master's own outlet. */
  point: string;
  isOpen: boolean;
}

/** The line of the point at hand, and what becomes of its air by the method at hand. */
export const PointProfile = unhurried(function PointProfile({ job, bleed, point, isOpen }: Props) {
  const verdicts = useQuery({ ...bleedVerdictsQuery(job.id, bleed, asItStands), enabled: isOpen });
  const found = verdicts.data;
  if (!found) return <div />;
  const own = found.ways.findIndex((way) => point === way.far_end || point.startsWith(`${way.far_end}.`));
  const at = Math.max(own, 0);
  const way = found.ways[at];
  const seen = bleed.points.find((each) => each.id === point)?.colour;
  const method = found.methods.find((each) => each.id === bleed.method.id);
  if (!way) return <div />;
  return (
    <figure style={{ margin: 0, display: "grid", alignContent: "center" }}>
      <HeightProfile
        way={way}
        legs={method?.legs[at]}
        colour={seen ? fluidColours[seen] : undefined}
        at={[own < 0 ? "joint.master" : `far_end.${way.far_end}`]}
      />
      {method ? (
        <figcaption style={{ display: "flex", gap: "0.6rem", alignItems: "center", flexWrap: "wrap" }}>
          <Mark kind={VERDICTS[method.verdict].kind}>{VERDICTS[method.verdict].word}</Mark>
          <Quiet>{method.place ? `${method.label}: air stays at ${method.place}` : method.label}</Quiet>
        </figcaption>
      ) : null}
    </figure>
  );
});
