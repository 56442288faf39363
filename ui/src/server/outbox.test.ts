import { beforeEach, describe, expect, it, vi } from "vitest";
import type { Changed, Problem } from "./api";
import { Broken, Refused, Unreachable, Waits } from "./faults";
import { Outbox } from "./outbox";
import { OutboxStore, type Keeper, type Parcel } from "./outboxStore";

/** A browser's storage in memory, with room for so many texts. */
class Drawer implements Keeper {
  readonly kept = new Map<string, string>();
  constructor(private readonly room = Infinity) {}
  get length() {
    return this.kept.size;
  }
  key = (index: number) => [...this.kept.keys()][index] ?? null;
  getItem = (key: string) => this.kept.get(key) ?? null;
  removeItem = (key: string) => void this.kept.delete(key);
  setItem(key: string, text: string) {
    if (!this.kept.has(key) && this.kept.size >= this.room) throw new Error("full");
    this.kept.set(key, text);
  }
}

const changed = {} as Changed;
const refused = (message: string) =>
  new Refused({ errors: [{ pointer: "", message }] } as unknown as Problem);
const stroke = { stage: "bleed", kind: "stroke", data: {} } as const;

describe("the outbox", () => {
  let sent: Parcel[];
  let answer: (parcel: Parcel) => Error | undefined;

  beforeEach(() => {
    vi.useFakeTimers();
    sent = [];
    answer = () => undefined;
  });

  const box = (drawer: Keeper | undefined = new Drawer()) =>
    new Outbox(
      new OutboxStore(drawer),
      (parcel) => {
        const fault = answer(parcel);
        if (fault) return Promise.reject(fault);
        sent.push(parcel);
        return Promise.resolve(changed);
      },
      () => undefined,
    );

  const settle = () => vi.advanceTimersByTimeAsync(60_000);
  const jobsOf = (parcels: Parcel[]) => parcels.map((parcel) => parcel.jobId);

  it("tells of an entry twice, when it is made and when it has arrived", async () => {
    const outbox = box();
    const told: number[] = [];
    outbox.subscribe(() => told.push(outbox.snapshot().waiting.length));
    outbox.add("a", stroke);
    await settle();
    expect(told).toEqual([1, 0]);
  });

  it("sends in the order of entry and keeps nothing that has arrived", async () => {
    const outbox = box();
    for (const job of ["a", "b", "a"]) outbox.add(job, stroke);
    await settle();
    expect(jobsOf(sent)).toEqual(["a", "b", "a"]);
    expect(outbox.snapshot().waiting).toEqual([]);
  });

  it("keeps everything while the server is away and sends it once it is back", async () => {
    answer = () => new Unreachable();
    const drawer = new Drawer();
    const outbox = box(drawer);
    outbox.add("a", stroke);
    outbox.add("a", stroke);
    await settle();
    expect(outbox.snapshot()).toMatchObject({ reachable: false, waiting: [{ jobId: "a" }, { jobId: "a" }] });
    answer = () => undefined;
    await settle();
    expect(sent).toHaveLength(2);
    expect(drawer.length).toBe(0);
  });

  it("drops a refused entry once one of its kind was taken, and only that one", async () => {
    const outbox = box();
    const entry = (kind: string) => ({ stage: "bleed", kind, data: {} }) as const;
    answer = () => refused("no");
    outbox.add("a", entry("colour"));
    outbox.add("a", entry("bubbles"));
    outbox.add("b", entry("colour"));
    await settle();
    answer = () => undefined;
    outbox.add("a", entry("colour"));
    await settle();
    const left = outbox.snapshot().apart.map((parcel) => [parcel.jobId, parcel.entry.kind]);
    expect(left).toEqual([
      ["a", "bubbles"],
      ["b", "colour"],
    ]);
  });

  it("sets an entry apart that the server refuses, and goes on with the next of the same job", async () => {
    const outbox = box();
    answer = (parcel) => (parcel.entry.kind === "colour" ? refused("no such colour") : undefined);
    outbox.add("a", { ...stroke, kind: "colour" });
    outbox.add("a", stroke);
    await settle();
    expect(sent.map((parcel) => parcel.entry.kind)).toEqual(["stroke"]);
    expect(outbox.snapshot().apart).toMatchObject([{ apart: "no such colour." }]);
  });

  it("holds up only the job whose entry the server breaks over, and sets that entry apart in the end", async () => {
    const outbox = box();
    answer = (parcel) => (parcel.entry.kind === "colour" ? new Broken("an error in the server") : undefined);
    outbox.add("a", { ...stroke, kind: "colour" });
    outbox.add("a", stroke);
    outbox.add("b", stroke);
    await vi.advanceTimersByTimeAsync(0);
    expect(jobsOf(sent)).toEqual(["b"]);
    await settle();
    expect(jobsOf(sent)).toEqual(["b", "a"]);
    expect(outbox.snapshot().apart).toMatchObject([{ apart: "an error in the server" }]);
    expect(outbox.snapshot().reachable).toBe(true);
  });

  it("keeps an entry waiting while the server is busy or full, says why, and never sets it apart", async () => {
    const outbox = box();
    answer = (parcel) => (parcel.jobId === "a" ? new Waits("the server's disc is full") : undefined);
    outbox.add("a", stroke);
    outbox.add("b", stroke);
    await settle();
    expect(jobsOf(sent)).toEqual(["b"]);
    expect(outbox.snapshot()).toMatchObject({ apart: [], waiting: [{ jobId: "a" }], reachable: true });
    expect(outbox.snapshot().heldUpBy).toBe("the server's disc is full");
    answer = () => undefined;
    await settle();
    expect(jobsOf(sent)).toEqual(["b", "a"]);
    expect(outbox.snapshot()).toMatchObject({ waiting: [], heldUpBy: undefined });
  });

  it("sends an entry again that was set apart, or drops it", async () => {
    const outbox = box();
    answer = () => refused("not now");
    const first = outbox.add("a", stroke) ?? "";
    const second = outbox.add("a", stroke) ?? "";
    await settle();
    answer = () => undefined;
    outbox.sendAgain(first);
    outbox.discard(second);
    await settle();
    expect(sent.map((parcel) => parcel.entry.id)).toEqual([first]);
    expect(outbox.snapshot()).toMatchObject({ waiting: [], apart: [] });
  });

  it("says which entry could not be kept, until that is read, and does not count it", async () => {
    answer = () => new Unreachable();
    const outbox = box(new Drawer(1));
    outbox.add("a", stroke);
    expect(outbox.add("a", { ...stroke, kind: "bubbles" })).toBeUndefined();
    expect(outbox.snapshot()).toMatchObject({ unkept: ["bubbles"], waiting: [{ jobId: "a" }] });
    outbox.forgiveUnkept();
    expect(outbox.snapshot().unkept).toEqual([]);
  });

  it("leaves a damaged text where it is and counts it", () => {
    const drawer = new Drawer();
    drawer.setItem("sandbag.outbox.x", "{half");
    drawer.setItem("sandbag.light", "dark");
    expect(box(drawer).snapshot()).toMatchObject({ damaged: 1, waiting: [] });
    expect(drawer.length).toBe(2);
  });

  it("works without storage and says that a reload forgets", async () => {
    const outbox = new Outbox(
      new OutboxStore(undefined),
      (parcel) => {
        sent.push(parcel);
        return Promise.resolve(changed);
      },
      () => undefined,
    );
    outbox.add("a", stroke);
    await settle();
    expect(sent).toHaveLength(1);
    expect(outbox.snapshot().forgets).toBe(true);
  });
});
