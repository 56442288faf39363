import type { NewEntry } from "./api";

/** An entry on its way to a job's journal. `refused` says why the server would not have it. */
export interface Parcel {
  jobId: string;
  entry: NewEntry;
  order: number;
  refused?: string;
}

const PREFIX = "sandbag.outbox.";

/** Parcels in this browser's storage, each under its own key, so that two tabs never overwrite one another. */
export function readParcels(): Parcel[] {
  const parcels: Parcel[] = [];
  for (let index = 0; index < localStorage.length; index += 1) {
    const key = localStorage.key(index);
    const text = key?.startsWith(PREFIX) ? localStorage.getItem(key) : null;
    if (text) parcels.push(JSON.parse(text) as Parcel);
  }
  return parcels.sort((a, b) => a.order - b.order);
}

export function writeParcel(parcel: Parcel): void {
  localStorage.setItem(PREFIX + parcel.entry.id, JSON.stringify(parcel));
}

export function removeParcel(id: string): void {
  localStorage.removeItem(PREFIX + id);
}
