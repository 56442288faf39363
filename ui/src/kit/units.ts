import { figure, size } from "./format";

export interface Shown {
  unit: string;
  factor: number;
  extra_decimals: number;
}

/** The core's unit of each dimension that a shop may show otherwise. */
const CORE = { length: "mm", metres: "m", volume: "mL", pressure: "MPa", torque: "N·m" } as const;

export type Dimension = keyof typeof CORE;

const ENDS_BARE = /[\d.,/]\s*$/;

/**
 * Shows the core's figures in the shop's units and marks what is typed with them. Factors come from the server; the
 * stored value never changes.
 */
export class Units {
  constructor(private readonly display: Record<string, Shown>) {}

  unit(dimension: Dimension): string {
    return this.display[dimension]?.unit ?? CORE[dimension];
  }

  /** The figure in the shop's unit. */
  amount(dimension: Dimension, value: number): number {
    return value * (this.display[dimension]?.factor ?? 1);
  }

  /** The figure without its unit; `decimals` as they would be in the core's unit. */
  bare(dimension: Dimension, value: number, decimals: number): string {
    const extra = this.display[dimension]?.extra_decimals ?? 0;
    return figure(this.amount(dimension, value), Math.max(0, decimals + extra));
  }

  say(dimension: Dimension, value: number, decimals: number): string {
    return `${this.bare(dimension, value, decimals)} ${this.unit(dimension)}`;
  }

  /** A stored size, as short as it can be said. */
  size(dimension: Dimension, value: number): string {
    return size(this.amount(dimension, value));
  }

  /** What was typed, with the shop's unit where none was typed. */
  typed(dimension: Dimension, text: string): string {
    const unit = this.unit(dimension);
    return unit !== CORE[dimension] && ENDS_BARE.test(text) ? `${text.trim()} ${unit}` : text;
  }
}

/** The same for a list of sizes, such as a caliper's pistons. */
export function typedList(units: Units, dimension: Dimension, text: string): string {
  return text
    .trim()
    .split(/\s+/)
    .map((piece) => units.typed(dimension, piece).replace(" ", ""))
    .join(" ");
}

export function asDimension(name: string | undefined): Dimension | undefined {
  return name !== undefined && name in CORE ? (name as Dimension) : undefined;
}
