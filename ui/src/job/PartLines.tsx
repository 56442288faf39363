import styled from "styled-components";
import type { BuildPart } from "../server/api";
import { Quiet, Row } from "../kit/layout";
import { Mark } from "../kit/Mark";
import { FacingQuestion } from "./FacingQuestion";

interface Props {
  parts: BuildPart[];
  /** The part whose question holds the step up, which the digit keys answer. */
  asked: BuildPart | undefined;
  onFace?: ((part: string, faces: string) => void) | undefined;
}

const Parts = styled.ul`
  display: grid;
  > li {
    display: grid;
    gap: 0.4rem;
    padding: 0.5rem 0;
    border-top: 1px solid ${(p) => p.theme.line};
  }
`;

/** Parts of the step at hand: how many, wetted with what, and which way each faces. Parts that are the right way round share one line. */
export function PartLines({ parts, asked, onFace }: Props) {
  const right = parts.filter((part) => part.right);
  return (
    <Parts>
      {askedFirst(parts.filter((part) => !part.right)).map((part) => (
        <li key={part.id}>
          <p>
            <strong>{part.label}</strong> <Quiet as="span">{said(part)}</Quiet>
          </p>
          {part.question && onFace ? (
            <FacingQuestion part={part} isAsked={part === asked} onFace={(faces) => onFace(part.id, faces)} />
          ) : null}
        </li>
      ))}
      {right.length > 0 ? (
        <li>
          <Row $gap={1}>
            {right.map((part) => (
              <Mark key={part.id} kind="good">{`${part.label}: ${facing(part)}`}</Mark>
            ))}
          </Row>
        </li>
      ) : null}
    </Parts>
  );
}

/** The question that holds the step up stands on top. */
function askedFirst(parts: BuildPart[]): BuildPart[] {
  const open = parts.filter((part) => part.question);
  return [...open, ...parts.filter((part) => !open.includes(part))];
}

function facing(part: BuildPart): string {
  return part.options?.find((option) => option.id === part.answer)?.label ?? "";
}

function said(part: BuildPart): string {
  return [
    `${part.count} ${part.renewed ? "new" : "from the tray"}`,
    part.lube ? `wetted with ${part.lube}` : undefined,
    part.check,
  ]
    .filter(Boolean)
    .join("; ");
}
