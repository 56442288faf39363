import type { Problem } from "./api";

/** The server said no: what is wrong, where, and what would be accepted. */
export class Refused extends Error {
  constructor(readonly problem: Problem) {
    super(problem.errors.map(worded).join(" "));
  }
}

/** The server could not be reached. Worth trying again, and everything else would fail too. */
export class Unreachable extends Error {}

/** The server answered that it broke over this. Other requests may go through. */
export class Broken extends Error {}

/** The server is busy or its disc is full: nothing is wrong with what was sent, and it is sent until there is room. */
export class Waits extends Error {}

/** Names that only the API uses, one after another: the page offers the same choices in words. */
const IDS = /^(?=.*[_.@\d])[a-z0-9_.@-]+(, [a-z0-9_.@-]+)*$/;

export function worded(error: Problem["errors"][number]): string {
  const accepted = error.accepted && !IDS.test(error.accepted) ? ` Accepted: ${error.accepted}.` : "";
  return `${error.message}.${accepted}`.replace("..", ".");
}

export function isProblem(answer: unknown): answer is Problem {
  return typeof answer === "object" && answer !== null && "errors" in answer;
}
