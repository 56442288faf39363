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
  lookup: () => import("../lookup/LookupPage"),
};
