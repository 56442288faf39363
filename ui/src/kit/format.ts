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

/** A form of dates, made when it is first used: making one is slow on a phone. */
function dateForm(options: Intl.DateTimeFormatOptions): (date: Date) => string {
  let form: Intl.DateTimeFormat | undefined;
  return (date) => (form ??= new Intl.DateTimeFormat("en-GB", options)).format(date);
}

const dayOfYear = dateForm({ day: "numeric", month: "short" });
const dayWithYear = dateForm({ day: "numeric", month: "short", year: "numeric" });
/** As a clock on the wall says it. */
export const timeSaid = dateForm({ hour: "2-digit", minute: "2-digit" });

/** A day, as a date in words; with its year where that is another than this one. */
export function daySaid(iso: string): string {
  const day = new Date(iso);
  return day.getFullYear() === new Date().getFullYear() ? dayOfYear(day) : dayWithYear(day);
}

export function whenSaid(iso: string): string {
  return `${daySaid(iso)}, ${timeSaid(new Date(iso))}`;
}

/** Minutes after a moment. */
export function clockAt(from: number, minutes: number): string {
  return timeSaid(new Date(from + minutes * 60_000));
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
