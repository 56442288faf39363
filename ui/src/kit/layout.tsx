import styled from "styled-components";
import { space } from "./tokens";

export const Page = styled.main`
  padding: ${space(4)} ${space(5)} ${space(6)};
  max-width: 84rem;
  margin: 0 auto;
  display: grid;
  gap: ${space(4)};
  @media (max-width: 60rem) {
    padding: ${space(3)};
  }
`;

export const Panel = styled.section`
  background: ${(p) => p.theme.panel};
  border: 1px solid ${(p) => p.theme.line};
  border-radius: 0.75rem;
  padding: ${space(3)};
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: ${space(2)};
  align-content: start;
  min-width: 0;
`;

export const Row = styled.div<{ $gap?: number }>`
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: ${(p) => space(p.$gap ?? 1.5)};
`;

export const Quiet = styled.p`
  color: ${(p) => p.theme.quiet};
`;

export const Split = styled.div<{ $left?: string; $right?: string }>`
  display: grid;
  gap: ${space(3)};
  grid-template-columns: minmax(0, ${(p) => p.$left ?? "1fr"}) minmax(0, ${(p) => p.$right ?? "1fr"});
  align-items: start;
  @media (max-width: 68rem) {
    grid-template-columns: minmax(0, 1fr);
  }
`;

/** Panels one under the other. */
export const Column = styled.div`
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: ${space(3)};
`;

/** A figure that can be read from two metres, with what it counts beneath. */
export const Big = styled.p<{ $size?: string }>`
  font:
    700 ${(p) => p.$size ?? "3rem"} / 1 "Atkinson Hyperlegible Mono Variable",
    monospace;
  letter-spacing: -0.04em;
  small {
    font-size: 0.5em;
    letter-spacing: 0;
    white-space: nowrap;
  }
`;

/** The one thing to do now, readable from two metres. */
export const Headline = styled.p`
  font-size: 2.1rem;
  line-height: 1.1;
  font-weight: 700;
  letter-spacing: -0.02em;
`;

/** A quiet action or way on inside a text, as tall as a finger. */
export const TextButton = styled.button`
  min-height: 3rem;
  padding: 0 0.4rem;
  border: 0;
  background: none;
  color: ${(p) => p.theme.act};
  text-align: left;
  text-decoration: underline;
  text-underline-offset: 0.2em;
  cursor: pointer;
`;

export const TextLink = styled.a`
  display: inline-flex;
  align-items: center;
  min-height: 3rem;
  padding: 0 0.4rem;
`;
