/** After the page is loaded, when it has nothing to do; it is not put off for ever. */
const LONGEST_WAIT_MS = 10_000;

export function whenIdle(work: () => Promise<unknown>): void {
  const soon = () => requestIdleCallback(() => void work(), { timeout: LONGEST_WAIT_MS });
  if (document.readyState === "complete") soon();
  else window.addEventListener("load", soon, { once: true });
}
