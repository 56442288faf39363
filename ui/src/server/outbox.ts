import type { Changed, NewEntry } from "./api";
import { Broken, Refused, Waits } from "./faults";
import type { OutboxStore, Parcel } from "./outboxStore";

const FIRST_RETRY_MS = 500;
const LONGEST_RETRY_MS = 5000;
/** An entry over which the server broke so often is set apart; the others go on. */
const MOST_TRIES = 3;

export interface OutboxState {
  waiting: Parcel[];
  /** Refused, or broken over: each with its reason, until the mechanic sends it again or drops it. */
  apart: Parcel[];
  reachable: boolean;
  /** Why what is waiting waits, although the server answers. */
  heldUpBy: string | undefined;
  /** Entries that could not even be kept here, newest last, until they have been read. */
  unkept: string[];
  /** Texts in this browser's storage that are no entries. */
  damaged: number;
  forgets: boolean;
  /** What the server says of this device's clock, where it is wrong. */
  clock: string | undefined;
}

/**
 * The one way entries leave the page. Each is written to this browser's storage before anything else, sent in order, and
 * kept until the server has it: a dead network, a reload or a closed lid loses nothing, and a retry is harmless because
 * the id is made here.
 */
export class Outbox {
  #state: OutboxState;
  #listeners = new Set<() => void>();
  #sending = false;
  #retry: ReturnType<typeof setTimeout> | undefined;
  #retryMs = FIRST_RETRY_MS;
  #order: number;
  #reachable = true;
  #heldUpBy: string | undefined;
  #unkept: string[] = [];
  #clock: string | undefined;

  constructor(
    private readonly store: OutboxStore,
    private readonly send: (parcel: Parcel) => Promise<Changed>,
    private readonly onDelivered: (parcel: Parcel, changed: Changed) => void,
    /** Who works at this screen. */
    private readonly by: () => string | undefined = () => undefined,
  ) {
    this.#order = Math.max(0, ...store.read().map((parcel) => parcel.order));
    this.#state = this.#read();
  }

  /** Another tab has written to the storage. */
  refresh = (): void => this.#publish();

  /** @returns the entry's id; undefined when it could not be kept, which is said aloud */
  add(jobId: string, entry: Omit<NewEntry, "id" | "at">): string | undefined {
    const id = crypto.randomUUID();
    this.#order = Math.max(this.#order + 1, Date.now());
    try {
      const by = this.by();
      const written = { ...entry, id, at: new Date().toISOString(), ...(by ? { by } : {}) };
      this.store.write({ jobId, entry: written, order: this.#order });
    } catch {
      this.#unkept = [...this.#unkept, entry.kind];
      this.#publish();
      return undefined;
    }
    this.#publish();
    void this.flush();
    return id;
  }

  discard(id: string): void {
    this.store.remove(id);
    this.#publish();
  }

  /** Puts an entry that was set apart back in the row. */
  sendAgain(id: string): void {
    const parcel = this.store.read().find((each) => each.entry.id === id);
    if (!parcel) return;
    this.store.write({ jobId: parcel.jobId, entry: parcel.entry, order: parcel.order });
    this.#publish();
    void this.flush();
  }

  /** The mechanic has read what could not be kept. */
  forgiveUnkept(): void {
    this.#unkept = [];
    this.#publish();
  }

  async flush(): Promise<void> {
    if (this.#sending) return;
    this.#sending = true;
    clearTimeout(this.#retry);
    try {
      const heldUp = await this.#sendAll();
      this.#reachable = true;
      if (heldUp) this.#retryLater();
      else this.#retryMs = FIRST_RETRY_MS;
    } catch {
      this.#reachable = false;
      this.#retryLater();
    } finally {
      this.#sending = false;
      this.#publish();
    }
  }

  subscribe = (listener: () => void): (() => void) => {
    this.#listeners.add(listener);
    return () => this.#listeners.delete(listener);
  };

  snapshot = (): OutboxState => this.#state;

  /** @returns whether a job is held up by an entry the server broke over: its later entries wait for that one */
  async #sendAll(): Promise<boolean> {
    const heldUp = new Set<string>();
    const next = () => this.store.read().find((parcel) => !parcel.apart && !heldUp.has(parcel.jobId));
    for (let parcel = next(); parcel; parcel = next()) {
      if (!(await this.#sendOne(parcel))) heldUp.add(parcel.jobId);
    }
    return heldUp.size > 0;
  }

  /** @returns false when the entry has to be tried again before its job goes on */
  async #sendOne(parcel: Parcel): Promise<boolean> {
    try {
      const changed = await this.send(parcel);
      this.store.remove(parcel.entry.id);
      this.#answered(parcel);
      this.#heldUpBy = undefined;
      this.#clock = changed.clock;
      this.onDelivered(parcel, changed);
      return true;
    } catch (fault) {
      if (fault instanceof Refused) this.#rewrite({ ...parcel, apart: fault.message });
      else if (fault instanceof Waits) {
        this.#heldUpBy = fault.message;
        return false;
      } else if (fault instanceof Broken) return this.#tryAgain(parcel, fault);
      else throw fault;
      return true;
    } finally {
      this.#reachable = true;
      this.#publish();
    }
  }

  /** What was refused before is answered by an entry of its kind that was not. */
  #answered({ jobId, entry }: Parcel): void {
    this.store
      .read()
      .filter((each) => isRefused(each) && each.jobId === jobId)
      .filter((each) => each.entry.stage === entry.stage && each.entry.kind === entry.kind)
      .forEach((each) => this.store.remove(each.entry.id));
  }

  #tryAgain(parcel: Parcel, fault: Broken): boolean {
    const tries = (parcel.tries ?? 0) + 1;
    this.#rewrite(tries < MOST_TRIES ? { ...parcel, tries } : { ...parcel, apart: fault.message });
    return tries >= MOST_TRIES;
  }

  /** In a full storage a parcel keeps its place without the note. */
  #rewrite(parcel: Parcel): void {
    try {
      this.store.write(parcel);
    } catch {
      this.store.remove(parcel.entry.id);
      this.#unkept = [...this.#unkept, parcel.entry.kind];
    }
  }

  #retryLater(): void {
    this.#retry = setTimeout(() => void this.flush(), this.#retryMs);
    this.#retryMs = Math.min(this.#retryMs * 2, LONGEST_RETRY_MS);
  }

  #read(): OutboxState {
    const parcels = this.store.read();
    return {
      waiting: parcels.filter((parcel) => !parcel.apart),
      apart: parcels.filter((parcel) => parcel.apart),
      reachable: this.#reachable,
      heldUpBy: this.#heldUpBy,
      unkept: this.#unkept,
      damaged: this.store.damaged,
      forgets: this.store.forgets,
      clock: this.#clock,
    };
  }

  /** Listeners hear of changes only: each time they draw the page again. */
  #publish(): void {
    const now = this.#read();
    if (JSON.stringify(now) === JSON.stringify(this.#state)) return;
    this.#state = now;
    this.#listeners.forEach((listener) => listener());
  }
}

/** The server said no, rather than breaking over it. */
export function isRefused(parcel: Parcel): boolean {
  return parcel.apart !== undefined && parcel.tries === undefined;
}
