import type { Job } from "../../server/api";

export type Photo = Job["photos"][number];

/** Each first photo with those that show the same once more, oldest first. */
export function inPairs(photos: readonly Photo[]): Photo[][] {
  const there = new Set(photos.map((photo) => photo.entry));
  return photos
    .filter((photo) => !photo.again || !there.has(photo.again))
    .map((first) => [first, ...photos.filter((photo) => photo.again === first.entry)]);
}

/** The first photo with this caption from an earlier stage: what a new one is laid beside. */
export function earlier(photos: readonly Photo[], what: string, stage: string): string | undefined {
  return photos.find((photo) => !photo.again && photo.what === what && photo.stage !== stage)?.entry;
}
