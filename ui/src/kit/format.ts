/** A figure to a number of decimals, trailing zeros kept so that columns line up. */
export function figure(value: number, decimals: number): string {
  const text = value.toFixed(decimals);
  return Number(text) === 0 ? text.replace("-", "") : text.replace("-", "−");
}

/** A figure as short as it can be said, for sizes such as 17.46 or 20. */
export function size(value: number): string {
  return String(Number(value.toFixed(4)));
}

export function change(percent: number): string {
  const text = Math.abs(percent) < 0.5 ? "0" : figure(percent, 0);
  return `${percent >= 0.5 ? "+" : ""}${text} %`;
}

/** A day, as a date in words; with its year where that is another than this one. */
export function daySaid(iso: string): string {
  const day = new Date(iso);
  const isThisYear = day.getFullYear() === new Date().getFullYear();
  return day.toLocaleDateString("en-GB", {
    day: "numeric",
    month: "short",
    ...(isThisYear ? {} : { year: "numeric" }),
  });
}

export function whenSaid(iso: string): string {
  const time = new Date(iso).toLocaleTimeString("en-GB", { hour: "2-digit", minute: "2-digit" });
  return `${daySaid(iso)}, ${time}`;
}

/** Minutes after a moment, as a clock on the wall says it. */
export function clockAt(from: number, minutes: number): string {
  return new Date(from + minutes * 60_000).toLocaleTimeString("en-GB", {
    hour: "2-digit",
    minute: "2-digit",
  });
}

/** A time of the same day as another, typed as 16:30, 16.30, 1630 or 16; nothing for what is none. */
export function timeOn(day: Date, typed: string): Date | undefined {
  const [, hours = "", minutes = "0"] = /^\s*(\d{1,2})(?:[:.]?(\d{2}))?\s*$/.exec(typed) ?? [];
  if (hours === "" || Number(hours) > 23 || Number(minutes) > 59) return undefined;
  const at = new Date(day);
  at.setHours(Number(hours), Number(minutes), 0, 0);
  return at;
}

/** Whole minutes from a moment to such a time; NaN for what is none. */
export function minutesTo(typed: string, from: Date): number {
  const at = timeOn(from, typed);
  return at ? Math.ceil((at.getTime() - from.getTime()) / 60_000) : NaN;
}
