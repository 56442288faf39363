/** Where something is drawn or written. */
export interface Box {
  left: number;
  top: number;
  right: number;
  bottom: number;
}

export function overlap(one: Box, other: Box): number {
  const across = Math.min(one.right, other.right) - Math.max(one.left, other.left);
  const down = Math.min(one.bottom, other.bottom) - Math.max(one.top, other.top);
  return across > 0 && down > 0 ? across * down : 0;
}

export const covered = (box: Box, others: Box[]) =>
  others.reduce((sum, other) => sum + overlap(box, other), 0);

/** How much of a box lies outside a frame. */
export const cutOff = (box: Box, frame: Box) =>
  (box.right - box.left) * (box.bottom - box.top) - overlap(box, frame);
