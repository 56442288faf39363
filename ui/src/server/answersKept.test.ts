import { afterEach, describe, expect, it, vi } from "vitest";
import { ANSWERS } from "../worker/agreed";
import { keepAnswer } from "./answersKept";

describe("an answer that came with an entry", () => {
  afterEach(() => vi.unstubAllGlobals());

  it("is laid where the worker looks for it, by the address of the server", async () => {
    const put = vi.fn(async (_: string, answer: Response) => void (await answer.json()));
    const open = vi.fn(async () => ({ put }));
    vi.stubGlobal("caches", { open });
    keepAnswer("/jobs/job-1/stages/bleed", { id: "bleed" });
    await vi.waitFor(() => expect(put).toHaveBeenCalledTimes(1));
    expect(open).toHaveBeenCalledWith(ANSWERS);
    expect(put.mock.calls[0]?.[0]).toBe("/api/jobs/job-1/stages/bleed");
    expect(put.mock.calls[0]?.[1].headers.get("content-type")).toBe("application/json");
  });

  it("that cannot be kept stops nothing", async () => {
    const open = vi.fn(() => Promise.reject(new Error("no room")));
    vi.stubGlobal("caches", { open });
    expect(() => keepAnswer("/jobs/job-1", {})).not.toThrow();
    await vi.waitFor(() => expect(open).toHaveBeenCalledTimes(1));
  });

  it("is not kept where a browser keeps nothing", () => {
    expect(() => keepAnswer("/jobs/job-1", {})).not.toThrow();
  });
});
