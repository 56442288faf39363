/** What the page asks of its worker: to fetch every room that has not been entered. */
export const KEEP_ROOMS = "keep rooms";

/** Where both keep the server's last answers. */
export const ANSWERS = "sandbag-answers";
/** Where the worker keeps photos that were looked at. */
export const PHOTOS = "sandbag-photos";
/** So long an answer may stand in for the server's, s: 14 days. */
export const KEPT_S = 1_209_600;
/** Header of an answer with the server's time. */
export const TIME = "sandbag-time";
