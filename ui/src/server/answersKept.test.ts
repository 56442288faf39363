import { afterEach, describe, expect, it, vi } from "vitest";
import { ANSWERS, PHOTOS } from "../worker/agreed";
import { answersKept, forgetAnswers, keepAnswer } from "./answersKept";

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
    const { headers } = put.mock.calls[0]![1];
    expect(headers.get("content-type")).toBe("application/json");
    expect(Date.now() - Date.parse(headers.get("date")!)).toBeLessThan(3_600_000);
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

describe("what a browser keeps of the record", () => {
  afterEach(() => vi.unstubAllGlobals());

  it("is counted and cleared: answers and photos, nothing else", async () => {
    const stored = new Map([
      [ANSWERS, ["/api/jobs", "/api/shelf"]],
      [PHOTOS, ["/api/photos/1"]],
      ["sandbag-page", ["/"]],
    ]);
    vi.stubGlobal("caches", {
      has: async (name: string) => stored.has(name),
      open: async (name: string) => ({ keys: async () => stored.get(name) }),
      delete: async (name: string) => stored.delete(name),
    });
    expect(await answersKept()).toBe(3);
    await forgetAnswers();
    expect(await answersKept()).toBe(0);
    expect([...stored.keys()]).toEqual(["sandbag-page"]);
  });
});
