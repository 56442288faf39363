import type { Sheet } from "../server/api";

type Part = Sheet["parts"][number];

const isEnd = (part: Part): boolean => part.part === "caliper" || part.part === "slave";

/** The first id of that stem that no part has. */
function freeId(sheet: Sheet, stem: string): string {
  let number = 1;
  while (sheet.parts.some((part) => part.id === `${stem}_${number}`)) number += 1;
  return `${stem}_${number}`;
}

/** A further caliper on a hose of its own, fed by the master (a stacked banjo) or by a line (a splitter). */
export function addBranch(sheet: Sheet, from: string): Sheet {
  const hose: Part = { id: freeId(sheet, "hose"), part: "line", label: "New hose", from, values: {} };
  const caliper: Part = {
    id: freeId(sheet, "caliper"),
    part: "caliper",
    label: "New caliper",
    from: hose.id,
    values: {},
  };
  const feeder = sheet.parts.find((part) => part.id === from);
  return { ...sheet, parts: [...ensureSplit(sheet.parts, feeder), hose, caliper] };
}

/** A line that fed a caliper directly keeps doing so through a short hose, since a splitter stands at its end now. */
function ensureSplit(parts: Part[], feeder: Part | undefined): Part[] {
  const end = parts.find((part) => feeder && isEnd(part) && part.from === feeder.id);
  if (!feeder || !end) return parts;
  const hose: Part = {
    id: `${end.id}_hose`,
    part: "line",
    label: `${end.label ?? end.id}, hose`,
    from: feeder.id,
    values: {},
  };
  return [...parts.map((part) => (part === end ? { ...part, from: hose.id } : part)), hose];
}

/** Without a far end and the lines that fed nothing else. */
export function removeEnd(sheet: Sheet, id: string): Sheet {
  const without = sheet.parts.filter((part) => part.id !== id);
  const isLoose = (part: Part) => part.part === "line" && !without.some((each) => each.from === part.id);
  const loose = without.find(isLoose);
  return loose ? removeEnd({ ...sheet, parts: without }, loose.id) : { ...sheet, parts: without };
}

export function rename(sheet: Sheet, id: string, label: string): Sheet {
  return { ...sheet, parts: sheet.parts.map((part) => (part.id === id ? { ...part, label } : part)) };
}
