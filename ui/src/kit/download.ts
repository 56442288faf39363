import { dark, light } from "./tokens";
import type { Tokens } from "./tokens";

/** Hands a file to the browser's downloads. */
export function download(name: string, type: string, text: string): void {
  const link = document.createElement("a");
  link.href = URL.createObjectURL(new Blob([text], { type }));
  link.download = name;
  link.click();
  URL.revokeObjectURL(link.href);
}

/** Hands a drawing to the browser's downloads, nothing where there is none. */
export function downloadSvg(name: string, svg: SVGSVGElement | null | undefined): void {
  if (svg) download(`${name}.svg`, "image/svg+xml", svgText(svg));
}

/** A drawing as a file of its own, in the colours of the light bench whatever is on show: it has to be read on paper. */
function svgText(svg: SVGSVGElement): string {
  const copy = svg.cloneNode(true) as SVGSVGElement;
  copy.setAttribute("xmlns", "http://www.w3.org/2000/svg");
  copy.setAttribute("font-family", "sans-serif");
  return onPaper(new XMLSerializer().serializeToString(copy));
}

export function onPaper(text: string): string {
  const ink = new Map(Object.entries(dark).map(([name, colour]) => [colour, light[name as keyof Tokens]]));
  return text.replace(/#[0-9a-f]{6}\b/g, (colour) => ink.get(colour) ?? colour);
}
