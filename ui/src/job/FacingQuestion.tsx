import styled from "styled-components";
import type { BuildPart } from "../server/api";
import { FacingDrawing } from "../drawings/FacingDrawing";
import { Key } from "../kit/Button";
import { Notice } from "../kit/Notice";

interface Props {
  part: BuildPart;
  /** The question at hand, which the digit keys answer. */
  isAsked: boolean;
  onFace: (faces: string) => void;
}

const Ways = styled.div`
  display: grid;
  grid-template-columns: repeat(2, minmax(0, 1fr));
  gap: 0.8rem;
`;

const Way = styled.button<{ $picked: boolean }>`
  display: grid;
  gap: 0.4rem;
  justify-items: center;
  padding: 0.7rem;
  border: 2px solid ${(p) => (p.$picked ? p.theme.act : p.theme.line)};
  border-radius: 0.6rem;
  background: ${(p) => (p.$picked ? p.theme.actSoft : p.theme.panel)};
  color: inherit;
  cursor: pointer;
  svg {
    max-width: 100%;
    height: auto;
  }
  &:hover {
    border-color: ${(p) => p.theme.focus};
  }
`;

/** Asked, not assumed: both ways are drawn, and the wrong one is explained. */
export function FacingQuestion({ part, isAsked, onFace }: Props) {
  return (
    <>
      <p>{part.question}</p>
      <Ways role="group" aria-label={part.question}>
        {part.options?.map((option, index) => (
          <Way
            key={option.id}
            type="button"
            $picked={part.answer === option.id}
            onClick={() => onFace(option.id)}
          >
            <FacingDrawing part={part.id} faces={option.id} />
            <span>
              {isAsked ? <Key aria-hidden>{index + 1}</Key> : null} {option.label}
            </span>
          </Way>
        ))}
      </Ways>
      {part.right === false ? (
        <Notice tone="stop" live>
          <strong>The other way round.</strong> {part.why}
        </Notice>
      ) : null}
    </>
  );
}
