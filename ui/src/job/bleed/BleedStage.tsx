import { useQuery } from "@tanstack/react-query";
import { knowledgeQuery } from "../../server/queries";
import { useOutboxState } from "../../server/useOutbox";
import type { StageProps } from "../StageProps";
import { BleedCount } from "./BleedCount";
import { project } from "./project";

export function BleedStage({ job, view, isOpen }: StageProps<"bleed">) {
  const { waiting: parcels } = useOutboxState();
  const colours = useQuery(knowledgeQuery).data?.colours ?? [];
  const mine = parcels.filter((parcel) => parcel.jobId === job.id && parcel.entry.stage === "bleed");
  const projected = project(
    view,
    mine,
    colours.filter((colour) => colour.fresh).map((colour) => colour.id),
  );
  const point = projected.bleed.points.find((each) => each.id === projected.bleed.current);
  return point ? (
    <BleedCount job={job} isOpen={isOpen} colours={colours} {...projected} point={point} />
  ) : null;
}
