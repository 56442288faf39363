import type { Knowledge, ShelfItem } from "../server/api";
import { asDimension } from "../kit/units";
import type { Units } from "../kit/units";

type Contents = Record<string, { count: number; material?: string }>;

/** What is written down about a thing, in one line. */
export function fieldsSaid(item: ShelfItem, knowledge: Knowledge, units: Units): string {
  return knowledge.shelf_fields
    .filter((row) => row.kind === item.kind && item.fields[row.field] !== undefined)
    .map((row) => said(row, item.fields[row.field], knowledge, units))
    .join(". ");
}

function said(
  row: Knowledge["shelf_fields"][number],
  value: unknown,
  knowledge: Knowledge,
  units: Units,
): string {
  const dimension = asDimension(row.rule.dimension);
  if (dimension) return `${row.label} ${units.size(dimension, Number(value))} ${units.unit(dimension)}`;
  if (row.rule.type === "contents") return `${row.label}: ${contentsSaid(value as Contents, knowledge)}`;
  if (row.rule.table === "constructions") return labelOf(knowledge.constructions, value);
  if (row.rule.table === "tools") return labelOf(knowledge.tools, value);
  if (row.rule.tables) return labelOf(knowledge.things, value);
  if (row.rule.table === "fluids") return labelOf(knowledge.fluids, value);
  if (row.rule.table === "lubricants") return `${row.label}: ${labelOf(knowledge.lubricants, value)}`;
  return `${row.label}: ${String(value).replaceAll("_", " ")}`;
}

function labelOf(rows: { id: string; label: string }[], id: unknown): string {
  return rows.find((row) => row.id === id)?.label ?? String(id);
}

export function contentsSaid(contents: Contents, knowledge: Knowledge): string {
  return Object.entries(contents)
    .map(([id, line]) => {
      const label = labelOf(knowledge.kit_items, id);
      return `${line.count > 1 ? `${line.count} ` : ""}${label}${line.material ? ` (${line.material})` : ""}`;
    })
    .join(", ");
}
