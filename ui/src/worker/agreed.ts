/** What the page asks of its worker: to fetch every room that has not been entered. */
export const KEEP_ROOMS = "keep rooms";

/** Where both keep the server's last answers. */
export const ANSWERS = "sandbag-answers";
/** Header of an answer with the server's time. */
export const TIME = "sandbag-time";
