/** Panel of the page at which an entry was made, so that a refusal can stand there. */
const panels = new Map<string, Element>();

export function rememberPanel(entry: string | undefined): void {
  const panel = document.activeElement?.closest("section, [data-part]");
  if (entry && panel) panels.set(entry, panel);
}

/** @returns the panel, while the page still shows it, and not folded */
export function panelOf(entry: string): Element | undefined {
  const panel = panels.get(entry);
  return panel && panel.getClientRects().length > 0 ? panel : undefined;
}
