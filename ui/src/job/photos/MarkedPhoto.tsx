import { useState } from "react";
import styled from "styled-components";
import { PhotoMarks } from "../../drawings/PhotoMarks";
import type { Photo } from "./pairs";

const Frame = styled.span`
  display: block;
  position: relative;
  img {
    display: block;
    width: 100%;
    aspect-ratio: 4 / 3;
    object-fit: cover;
    border-radius: 0.5rem;
    border: 1px solid ${(p) => p.theme.line};
  }
  svg {
    position: absolute;
    inset: 0;
    width: 100%;
    height: 100%;
  }
`;

/** A photo of a list, with what was drawn on it. */
export function MarkedPhoto({ photo }: { photo: Photo }) {
  const [size, setSize] = useState<{ width: number; height: number }>();
  return (
    <Frame>
      <img
        src={`/api/photos/${photo.photo}`}
        alt={photo.what}
        onLoad={({ currentTarget }) =>
          setSize({ width: currentTarget.naturalWidth, height: currentTarget.naturalHeight })
        }
      />
      {size ? <PhotoMarks marks={photo.marks ?? []} {...size} isCut /> : null}
    </Frame>
  );
}
