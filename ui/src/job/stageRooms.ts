import type { ComponentType } from "react";
import type { Shown, StageProps } from "./StageProps";

const found = import.meta.glob<ComponentType<StageProps<Shown>>>("./*/index.ts", { import: "Room" });

/** The page of each stage, by its folder, fetched when it is looked at. */
export const stageRooms: Record<string, () => Promise<ComponentType<StageProps<Shown>>>> = Object.fromEntries(
  Object.entries(found).map(([path, load]) => [path.split("/")[1] ?? path, load]),
);
