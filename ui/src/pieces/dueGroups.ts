import type { DueLine } from "../server/api";

/** What one circuit wants together, or one bottle; the soonest first. */
export interface DueGroup {
  id: string;
  machine?: DueLine["machine"];
  circuit?: DueLine["circuit"];
  /** Of the soonest. */
  on: string;
  overdue: boolean;
  lines: DueLine[];
}

/** One group a circuit: a job is opened for all that it wants. */
export function dueGroups(lines: DueLine[]): DueGroup[] {
  const groups = new Map<string, DueGroup>();
  for (const line of [...lines].sort((one, other) => one.on.localeCompare(other.on))) {
    const id = line.circuit?.id ?? line.id;
    const group = groups.get(id);
    if (group) group.lines.push(line);
    else
      groups.set(id, {
        id,
        ...(line.machine ? { machine: line.machine } : {}),
        ...(line.circuit ? { circuit: line.circuit } : {}),
        on: line.on,
        overdue: line.overdue,
        lines: [line],
      });
  }
  return [...groups.values()];
}

/** What is wanted, in one sentence: each by its name, and why where there is one thing only. */
export function wantedSaid({ lines }: DueGroup): string {
  const [only] = lines;
  if (lines.length === 1 && only) {
    return [only.label, only.why, only.damaged ? "Its day is damaged" : undefined]
      .filter(Boolean)
      .map((said) => String(said).replace(/\.$/, ""))
      .join(". ");
  }
  return lines.map((line) => (line.damaged ? `${line.label} (its day is damaged)` : line.label)).join("; ");
}
