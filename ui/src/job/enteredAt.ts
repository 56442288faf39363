/** Panel of the page at which an entry was made, so that a refusal can stand there. */
const panels = new Map<string, Element>();

export function rememberPanel(entry: string | undefined): void {
  const panel = document.activeElement?.closest("section");
  if (entry && panel) panels.set(entry, panel);
}

/** @returns the panel, while the page still shows it */
export function panelOf(entry: string): Element | undefined {
  const panel = panels.get(entry);
  return panel?.isConnected ? panel : undefined;
}
