/** The room that was tapped, and which one the work was in at that time. */
export interface RoomChoice {
  id: string;
  open: boolean;
  start: string | undefined;
}

/**
 * Which rooms are open: all of them (each can be folded without the others), or the one that was opened last. Until one is tapped it is the one where the work
 * is, and again as soon as the work moves on to another.
 */
export function openRooms(all: boolean, start: string | undefined, chosen: RoomChoice | undefined) {
  return (id: string): boolean => {
    if (all) return true;
    if (!chosen || chosen.start !== start) return id === start;
    return chosen.open && id === chosen.id;
  };
}
