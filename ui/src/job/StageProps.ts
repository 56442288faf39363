import type { Job, StageView } from "../server/api";

/** Stages that there are, by what they show. */
export type Shown = Exclude<keyof StageView, "id">;

/** What the page of a stage is given: the job in a line, and what this stage shows. */
export interface StageProps<Name extends Shown> {
  job: Job;
  view: NonNullable<StageView[Name]>;
  /** Entries may still be made. */
  isOpen: boolean;
}
