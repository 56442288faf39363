import { describe, expect, it, vi } from "vitest";
import type { Problem } from "./api";
import { isProblem, Refused, worded } from "./faults";
import { pagesOf } from "./pagesOf";

describe("a refusal", () => {
  it("says what is wrong and what would be accepted, each with one full stop", () => {
    expect(worded({ pointer: "bore", message: "Bore is missing", accepted: "from 5 to 40 mm" })).toBe(
      "Bore is missing. Accepted: from 5 to 40 mm.",
    );
    expect(worded({ pointer: "", message: "Not here." })).toBe("Not here.");
  });

  it("leaves out names that only the API uses", () => {
    const said = (accepted: string) => worded({ pointer: "", message: "No", accepted });
    expect(said("gravity_start, hold_cycle")).toBe("No.");
    expect(said("left_caliper")).toBe("No.");
    expect(said("a top-up, or that the port is uncovered")).toBe(
      "No. Accepted: a top-up, or that the port is uncovered.",
    );
  });

  it("says everything that is wrong at once", () => {
    const errors = [
      { pointer: "a", message: "One" },
      { pointer: "b", message: "Two", accepted: "2 mm" },
    ];
    expect(new Refused({ title: "", status: 422, errors } as Problem).message).toBe(
      "One. Two. Accepted: 2 mm.",
    );
  });

  it("is known from other answers", () => {
    expect(isProblem({ errors: [] })).toBe(true);
    expect([null, undefined, "errors", { items: [] }].map(isProblem)).toEqual([false, false, false, false]);
  });
});

describe("pages of a list", () => {
  const pages = { pages: [{ items: [1, 2] }, { items: [3] }] };

  it("are one list, in order", () => {
    expect(pagesOf({ data: pages, hasNextPage: false, fetchNextPage: vi.fn() })).toEqual({
      items: [1, 2, 3],
    });
    expect(pagesOf({ data: undefined, hasNextPage: false, fetchNextPage: vi.fn() })).toEqual({ items: [] });
  });

  it("lead to the next one while there is one", () => {
    const fetchNextPage = vi.fn(() => Promise.resolve());
    pagesOf({ data: pages, hasNextPage: true, fetchNextPage }).more?.();
    expect(fetchNextPage).toHaveBeenCalledOnce();
  });
});
