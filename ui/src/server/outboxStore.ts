import type { NewEntry } from "./api";

/** An entry on its way to a job's journal. */
export interface Parcel {
  jobId: string;
  entry: NewEntry;
  order: number;
  /** How often the server broke over it. */
  tries?: number;
  /** Set apart, with the reason: the server would not have it, or broke over it too often. */
  apart?: string;
}

/** What a browser keeps text in; localStorage, or nothing where it is blocked. */
export type Keeper = Pick<Storage, "length" | "key" | "getItem" | "setItem" | "removeItem">;

const PREFIX = "sandbag.outbox.";

/**
 * Parcels in this browser's storage, each under its own key, so that two tabs never overwrite one another. A text that is no
 * parcel is left where it is and counted as damaged. Where the browser keeps nothing, parcels live as long as the page.
 */
export class OutboxStore {
  #unkept = new Map<string, Parcel>();
  damaged = 0;

  constructor(private readonly keeper: Keeper | undefined) {}

  /** Whether a reload would lose what is on its way. */
  get forgets(): boolean {
    return this.keeper === undefined;
  }

  read(): Parcel[] {
    const kept = this.keeper ? this.#kept(this.keeper) : [...this.#unkept.values()];
    return kept.sort((a, b) => a.order - b.order);
  }

  /** Throws when the storage is full: what cannot be kept must not be counted. */
  write(parcel: Parcel): void {
    if (this.keeper) this.keeper.setItem(PREFIX + parcel.entry.id, JSON.stringify(parcel));
    else this.#unkept.set(parcel.entry.id, parcel);
  }

  remove(id: string): void {
    this.keeper?.removeItem(PREFIX + id);
    this.#unkept.delete(id);
  }

  #kept(keeper: Keeper): Parcel[] {
    const keys = Array.from({ length: keeper.length }, (_, index) => keeper.key(index));
    const texts = keys.flatMap((key) => (key?.startsWith(PREFIX) ? [keeper.getItem(key) ?? ""] : []));
    const parcels = texts.map(parcelOf);
    const whole = parcels.filter((parcel) => parcel !== undefined);
    this.damaged = parcels.length - whole.length;
    return whole;
  }
}

function parcelOf(text: string): Parcel | undefined {
  try {
    const parcel: unknown = JSON.parse(text);
    return isParcel(parcel) ? parcel : undefined;
  } catch {
    return undefined;
  }
}

function isParcel(thing: unknown): thing is Parcel {
  const parcel = thing as Parcel | null;
  return (
    typeof parcel?.jobId === "string" && typeof parcel.entry?.id === "string" && Number.isFinite(parcel.order)
  );
}

/** The browser's own storage; undefined where it is blocked. */
export function browserKeeper(): Keeper | undefined {
  try {
    localStorage.setItem(`${PREFIX}probe`, "");
    localStorage.removeItem(`${PREFIX}probe`);
    return localStorage;
  } catch (fault) {
    // full is not blocked: what is there can still be read and sent
    return fault instanceof DOMException && fault.name === "QuotaExceededError" ? localStorage : undefined;
  }
}
