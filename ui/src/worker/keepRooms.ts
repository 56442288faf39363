/** What the page asks of its worker: to fetch every room that has not been entered. */
export const KEEP_ROOMS = "keep rooms";
