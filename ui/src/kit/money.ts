const MINOR = 100;

/** A sum of minor units in its currency. */
export function money(minor: number, currency: string): string {
  return new Intl.NumberFormat("en-GB", { style: "currency", currency }).format(minor / MINOR);
}

/** The same bare, for a field. */
export function moneyTyped(minor: number): string {
  return (minor / MINOR).toFixed(2);
}
