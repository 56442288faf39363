/** Colours by what they mean. Every pair used for text meets 4.5:1 on its ground. */
export interface Tokens {
  ground: string;
  panel: string;
  sunk: string;
  line: string;
  ink: string;
  quiet: string;
  act: string;
  onAct: string;
  actSoft: string;
  good: string;
  goodSoft: string;
  warn: string;
  warnSoft: string;
  stop: string;
  onStop: string;
  stopSoft: string;
  tube: string;
  fresh: string;
  focus: string;
}

export const light: Tokens = {
  ground: "#e9eeec",
  panel: "#fbfdfc",
  sunk: "#dfe7e4",
  line: "#b9c6c2",
  ink: "#0e1f20",
  quiet: "#48595a",
  act: "#0d5259",
  onAct: "#ffffff",
  actSoft: "#cfe3e2",
  good: "#17633a",
  goodSoft: "#d3ecd9",
  warn: "#7a4b00",
  warnSoft: "#fbe6b8",
  stop: "#a3211b",
  onStop: "#ffffff",
  stopSoft: "#f9d8d3",
  tube: "#6d7f80",
  fresh: "#e3b23c",
  focus: "#c2410c",
};

export const dark: Tokens = {
  ground: "#0c1416",
  panel: "#142023",
  sunk: "#0a1012",
  line: "#35484b",
  ink: "#eaf3f1",
  quiet: "#a6b8b8",
  act: "#7fd3cf",
  onAct: "#04282a",
  actSoft: "#1d3b3e",
  good: "#7fd99c",
  goodSoft: "#15351f",
  warn: "#f5c661",
  warnSoft: "#3d2e0b",
  stop: "#ff9a8d",
  onStop: "#3a0703",
  stopSoft: "#4a1611",
  tube: "#7d9294",
  fresh: "#f0c65a",
  focus: "#ffb06b",
};

/** Fluid as it comes through the hose, dark to fresh: a scale of its own in both themes. */
export const fluidColours: Record<string, string> = {
  black: "#2a1a10",
  brown: "#6b3f18",
  amber: "#b9781f",
  as_fresh: "#ecc964",
};

/** Fluid by its age, straw to coffee; unknown is drawn as the worst. */
export const fluidLooks: Record<string, string> = {
  fresh: "#ecc964",
  straw: "#d9a93a",
  amber: "#b9781f",
  tea: "#8a5522",
  coffee: "#5a3719",
  unknown: "#5a3719",
};

/** What is drawn on a photo, whatever the photo shows. */
export const markColours = { line: "#d5261b", rim: "#ffffff" };

export const space = (steps: number): string => `${steps * 0.5}rem`;

/** Widths at which a page lies down: a phone, or any screen at twice its size; a tablet. */
export const PHONE = "(max-width: 40rem)";
