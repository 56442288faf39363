/** Rooms fetched when they are entered; bench, job head, Ask, Bleed, Feel and Close come with the page. */
export const rooms = {
  machines: () => import("../machines/Machines"),
  machine: () => import("../machines/MachinePage"),
  shelf: () => import("../shelf/ShelfPage"),
  sizer: () => import("../sizer/SizerPage"),
  shop: () => import("../shop/ShopPage"),
  choose: () => import("../job/choose/ChooseStage"),
  strip: () => import("../job/strip/StripStage"),
  measure: () => import("../job/measure/MeasureStage"),
  build: () => import("../job/build/BuildStage"),
};

/** All of them, so that they are at hand when the server is away. */
export function fetchRooms(): void {
  for (const room of Object.values(rooms)) void room().catch(() => undefined);
}
