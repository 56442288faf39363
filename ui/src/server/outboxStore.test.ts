import { describe, expect, it } from "vitest";
import type { NewEntry } from "./api";
import { OutboxStore } from "./outboxStore";
import type { Keeper, Parcel } from "./outboxStore";

/** Storage as a browser has it, with room for so many letters. */
class Drawer implements Keeper {
  texts = new Map<string, string>();

  constructor(private readonly room = Infinity) {}

  get length() {
    return this.texts.size;
  }

  key(index: number) {
    return [...this.texts.keys()][index] ?? null;
  }

  getItem(key: string) {
    return this.texts.get(key) ?? null;
  }

  setItem(key: string, text: string) {
    if (text.length > this.room) throw new DOMException("full", "QuotaExceededError");
    this.texts.set(key, text);
  }

  removeItem(key: string) {
    this.texts.delete(key);
  }
}

const parcel = (id: string, order: number): Parcel => ({
  jobId: "job",
  order,
  entry: { id, stage: "bleed", kind: "stroke", data: {} } as NewEntry,
});

describe.each([
  ["kept by the browser", () => new OutboxStore(new Drawer())],
  ["that lives as long as the page", () => new OutboxStore(undefined)],
])("an outbox %s", (_, made) => {
  it("gives entries back in the order they were written", () => {
    const store = made();
    [parcel("c", 3), parcel("a", 1), parcel("b", 2)].forEach((each) => store.write(each));
    expect(store.read().map((each) => each.entry.id)).toEqual(["a", "b", "c"]);
  });

  it("writes an entry again in its own place, and forgets what was taken out", () => {
    const store = made();
    store.write(parcel("a", 1));
    store.write({ ...parcel("a", 1), tries: 2 });
    expect(store.read()).toEqual([{ ...parcel("a", 1), tries: 2 }]);
    store.remove("a");
    expect(store.read()).toEqual([]);
  });
});

describe("an outbox in storage", () => {
  it("counts what is no entry as damaged, and leaves it where it is", () => {
    const drawer = new Drawer();
    const store = new OutboxStore(drawer);
    store.write(parcel("a", 1));
    ["{", "null", '{"jobId":"job"}', '{"jobId":"job","entry":{"id":"x"},"order":null}'].forEach(
      (text, index) => drawer.setItem(`sandbag.outbox.bad-${index}`, text),
    );
    drawer.setItem("another.program", "{");
    expect(store.read().map((each) => each.entry.id)).toEqual(["a"]);
    expect(store.damaged).toBe(4);
    expect(drawer.length).toBe(6);
  });

  it("says so when it is full, and keeps what was there", () => {
    const store = new OutboxStore(new Drawer(200));
    store.write(parcel("a", 1));
    expect(() => store.write(parcel("b".repeat(300), 2))).toThrow(DOMException);
    expect(store.read()).toHaveLength(1);
  });

  it("is shared by two tabs", () => {
    const drawer = new Drawer();
    const [one, other] = [new OutboxStore(drawer), new OutboxStore(drawer)];
    one.write(parcel("a", 1));
    other.write(parcel("b", 2));
    expect(one.read()).toEqual(other.read());
    expect(one.read()).toHaveLength(2);
  });

  it("forgets only where the browser keeps nothing", () => {
    expect([new OutboxStore(new Drawer()).forgets, new OutboxStore(undefined).forgets]).toEqual([
      false,
      true,
    ]);
  });
});
