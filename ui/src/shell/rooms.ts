import { stageRooms } from "../job/stageRooms";

/** Rooms, each fetched when it is entered. */
export const rooms = {
  bench: () => import("../bench/Bench"),
  job: () => import("../job/JobPage"),
  machines: () => import("../machines/Machines"),
  machine: () => import("../machines/MachinePage"),
  shelf: () => import("../shelf/ShelfPage"),
  sizer: () => import("../sizer/SizerPage"),
  practice: () => import("../practice/PracticePage"),
  shop: () => import("../shop/ShopPage"),
};

/** All of them, so that they are at hand when the server is away. */
export function fetchRooms(): void {
  for (const room of [...Object.values(rooms), ...Object.values(stageRooms)])
    void room().catch(() => undefined);
}
