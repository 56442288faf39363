import { Button as AriaButton } from "react-aria-components";
import type { ButtonProps } from "react-aria-components";
import type { ReactNode } from "react";
import styled from "styled-components";

interface Props extends Omit<ButtonProps, "children"> {
  children: ReactNode;
  /** The key that does the same, shown on the button. */
  hotkey?: string;
  tone?: "act" | "plain" | "stop" | "good";
}

const Face = styled(AriaButton)<{ $tone: string }>`
  display: inline-flex;
  align-items: center;
  justify-content: center;
  gap: 0.6rem;
  min-height: 3rem;
  padding: 0.45rem 1.1rem;
  border-radius: 0.5rem;
  border: 2px solid
    ${(p) => (p.$tone === "plain" ? p.theme.line : p.$tone === "stop" ? p.theme.stop : p.theme.act)};
  background: ${(p) => (p.$tone === "act" ? p.theme.act : p.$tone === "stop" ? p.theme.stopSoft : p.theme.panel)};
  color: ${(p) => (p.$tone === "act" ? p.theme.onAct : p.$tone === "stop" ? p.theme.stop : p.theme.ink)};
  font-weight: 650;
  cursor: pointer;
  text-align: center;
  &[data-hovered] {
    box-shadow: inset 0 0 0 2px ${(p) => p.theme.focus};
  }
  &[data-pressed] {
    filter: brightness(0.92);
  }
  &[data-disabled] {
    border-color: ${(p) => p.theme.line};
    background: ${(p) => p.theme.sunk};
    color: ${(p) => p.theme.quiet};
    cursor: default;
  }
`;

export const Key = styled.kbd`
  display: inline-block;
  min-width: 1.7em;
  padding: 0.05em 0.4em;
  border: 1.5px solid currentColor;
  border-radius: 0.3em;
  font:
    600 0.85em/1.35 "Atkinson Hyperlegible Mono Variable",
    monospace;
  text-align: center;
`;

export function Button({ children, hotkey, tone = "plain", ...rest }: Props) {
  return (
    <Face $tone={tone} {...rest} {...(hotkey ? { "aria-keyshortcuts": hotkey } : {})}>
      {hotkey ? <Key aria-hidden>{hotkey}</Key> : null}
      <span>{children}</span>
    </Face>
  );
}
