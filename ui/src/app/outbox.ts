import { call, Refused } from "./api";
import type { Job, NewEntry } from "./api";
import { readParcels, removeParcel, writeParcel } from "./outboxStore";
import type { Parcel } from "./outboxStore";

const FIRST_RETRY_MS = 500;
const LONGEST_RETRY_MS = 5000;

export interface OutboxState {
  waiting: Parcel[];
  refused: Parcel[];
  reachable: boolean;
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
  #retryMs = FIRST_RETRY_MS;
  #order = 0;

  constructor(private readonly onDelivered: (job: Job) => void) {
    this.#state = this.#read(true);
    this.#order = Math.max(0, ...readParcels().map((parcel) => parcel.order));
    window.addEventListener("online", () => void this.flush());
    window.addEventListener("storage", () => this.#publish(this.#state.reachable));
  }

  add(jobId: string, entry: Omit<NewEntry, "id" | "at">): string {
    const id = crypto.randomUUID();
    this.#order = Math.max(this.#order + 1, Date.now());
    writeParcel({ jobId, entry: { ...entry, id, at: new Date().toISOString() }, order: this.#order });
    this.#publish(this.#state.reachable);
    void this.flush();
    return id;
  }

  discard(id: string): void {
    removeParcel(id);
    this.#publish(this.#state.reachable);
  }

  async flush(): Promise<void> {
    if (this.#sending) return;
    this.#sending = true;
    try {
      for (let parcel = this.#next(); parcel; parcel = this.#next()) await this.#send(parcel);
      this.#retryMs = FIRST_RETRY_MS;
      this.#publish(true);
    } catch {
      this.#publish(false);
      setTimeout(() => void this.flush(), this.#retryMs);
      this.#retryMs = Math.min(this.#retryMs * 2, LONGEST_RETRY_MS);
    } finally {
      this.#sending = false;
    }
  }

  subscribe = (listener: () => void): (() => void) => {
    this.#listeners.add(listener);
    return () => this.#listeners.delete(listener);
  };

  snapshot = (): OutboxState => this.#state;

  #next(): Parcel | undefined {
    return readParcels().find((parcel) => !parcel.refused);
  }

  async #send(parcel: Parcel): Promise<void> {
    try {
      const job = await call<Job>("POST", `/jobs/${parcel.jobId}/entries`, parcel.entry);
      removeParcel(parcel.entry.id);
      this.onDelivered(job);
    } catch (fault) {
      if (!(fault instanceof Refused)) throw fault;
      writeParcel({ ...parcel, refused: fault.message });
    }
    this.#publish(true);
  }

  #read(reachable: boolean): OutboxState {
    const parcels = readParcels();
    return {
      waiting: parcels.filter((parcel) => !parcel.refused),
      refused: parcels.filter((parcel) => parcel.refused),
      reachable,
    };
  }

  #publish(reachable: boolean): void {
    this.#state = this.#read(reachable);
    this.#listeners.forEach((listener) => listener());
  }
}
