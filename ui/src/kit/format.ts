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

/** A day, as a date in words. */
export function daySaid(iso: string): string {
  return new Date(iso).toLocaleDateString("en-GB", { day: "numeric", month: "short", year: "numeric" });
}

export function whenSaid(iso: string): string {
  return new Date(iso).toLocaleString("en-GB", {
    day: "numeric",
    month: "short",
    hour: "2-digit",
    minute: "2-digit",
  });
}
