import type { ReactNode } from "react";
import styled from "styled-components";
import { Sign } from "./Mark";

type Tone = "good" | "warn" | "stop";

const Box = styled.div<{ $tone: Tone }>`
  display: flex;
  gap: 0.8rem;
  align-items: center;
  padding: 0.7rem 1rem;
  border-radius: 0.5rem;
  border-left: 0.5rem solid ${(p) => p.theme[p.$tone]};
  background: ${(p) => ({ good: p.theme.goodSoft, warn: p.theme.warnSoft, stop: p.theme.stopSoft })[p.$tone]};
  svg {
    flex: none;
    color: ${(p) => p.theme[p.$tone]};
  }
`;

/** Something the mechanic should know now. `live` reads it out when it appears. */
export function Notice({ tone, live, children }: { tone: Tone; live?: boolean; children: ReactNode }) {
  return (
    <Box $tone={tone} {...(live ? { role: tone === "stop" ? "alert" : "status" } : {})}>
      <Sign kind={tone} size={24} />
      <div>{children}</div>
    </Box>
  );
}
