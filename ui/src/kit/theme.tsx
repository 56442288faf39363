import { useCallback, useMemo, useState } from "react";
import type { ReactNode } from "react";
import { createGlobalStyle, StyleSheetManager, ThemeProvider } from "styled-components";
import { dark, light } from "./tokens";
import type { Tokens } from "./tokens";
import { BenchLightContext } from "./useBenchLight";

declare module "styled-components" {
  // eslint-disable-next-line @typescript-eslint/no-empty-object-type -- styled-components' way to type the theme
  export interface DefaultTheme extends Tokens {}
}

const Global = createGlobalStyle`
  *, *::before, *::after { box-sizing: border-box; }
  html { color-scheme: light dark; }
  body {
    margin: 0; background: ${(p) => p.theme.ground}; color: ${(p) => p.theme.ink};
    font: 400 1.0625rem/1.45 "Plain Zero", "Atkinson Hyperlegible Next Variable", sans-serif;
    font-variant-numeric: tabular-nums;
  }
  h1, h2, h3, p, ul, ol, dl, dd, figure { margin: 0; padding: 0; }
  h1 { font-size: 1.75rem; line-height: 1.15; font-weight: 700; letter-spacing: -0.01em; }
  h2 { font-size: 1.2rem; line-height: 1.25; font-weight: 700; }
  h3 { font-size: 1rem; font-weight: 700; }
  ul, ol { list-style: none; }
  svg { max-width: 100%; }
  a { color: ${(p) => p.theme.act}; text-underline-offset: 0.2em; }
  button, input, select, textarea { font: inherit; color: inherit; }
  summary { display: list-item; padding: 0.75rem 0; cursor: pointer; font-weight: 650; }
  :focus-visible, [data-focus-visible] { outline: 3px solid ${(p) => p.theme.focus}; outline-offset: 2px; }
  @media (prefers-reduced-motion: reduce) { *, *::before { transition: none !important; animation: none !important; } }
`;

const KEY = "sandbag.light";

function firstLight(): "light" | "dark" {
  const kept = localStorage.getItem(KEY);
  if (kept === "light" || kept === "dark") return kept;
  return matchMedia("(prefers-color-scheme: dark)").matches ? "dark" : "light";
}

const nonce = document.querySelector<HTMLMetaElement>('meta[property="csp-nonce"]')?.content;

export function Theme({ children }: { children: ReactNode }) {
  const [name, setName] = useState(firstLight);
  const turn = useCallback(() => {
    setName((now) => {
      const next = now === "light" ? "dark" : "light";
      localStorage.setItem(KEY, next);
      return next;
    });
  }, []);
  const bench = useMemo(() => ({ name, turn }), [name, turn]);
  return (
    <StyleSheetManager {...(nonce ? { nonce } : {})}>
      <ThemeProvider theme={name === "light" ? light : dark}>
        <BenchLightContext value={bench}>
          <Global />
          {children}
        </BenchLightContext>
      </ThemeProvider>
    </StyleSheetManager>
  );
}
