import { useQuery } from "@tanstack/react-query";
import { useState, type PointerEvent } from "react";
import styled from "styled-components";
import { PhotoMarks, type Mark } from "../../drawings/PhotoMarks";
import { Button } from "../../kit/Button";
import { Choice } from "../../kit/Choice";
import { Row } from "../../kit/layout";
import { Sheet } from "../../kit/Sheet";
import type { Job, Stage } from "../../server/api";
import { knowledgeQuery } from "../../server/queries";
import { useEntries } from "../useEntries";
import type { Photo } from "./pairs";

/** As large as the screen allows; a finger draws and does not roll the page. */
const Picture = styled.div`
  position: relative;
  touch-action: none;
  cursor: crosshair;
  user-select: none;
  img {
    display: block;
    max-width: calc(100vw - 3rem);
    max-height: calc(100vh - 15rem);
    min-height: 8rem;
    -webkit-user-drag: none;
  }
  svg {
    position: absolute;
    inset: 0;
    width: 100%;
    height: 100%;
  }
`;

const SHAPES = [
  { id: "circle", label: "Circle" },
  { id: "arrow", label: "Arrow" },
] as const;

interface Props {
  job: Job;
  /** Where a mark is written; nothing can be drawn without it. */
  stage?: Stage | undefined;
  photo: Photo;
  onClose: () => void;
}

/** A photo over the whole screen: a circle from its middle to its rim, an arrow from its tail to its tip. */
export function MarkPhoto({ job, stage, photo, onClose }: Props) {
  const { add, undo } = useEntries(job, stage ?? photo.stage);
  const least = useQuery(knowledgeQuery).data?.photos.least_stroke ?? 0;
  const [shape, setShape] = useState<Mark["shape"]>("circle");
  const [drawn, setDrawn] = useState<Mark>();
  const [size, setSize] = useState<{ width: number; height: number }>();
  const marks = photo.marks ?? [];
  const mine = marks.filter((mark) => mark.stage === stage);
  const last = mine[mine.length - 1];
  const at = (event: PointerEvent<HTMLElement>): [number, number] => {
    const box = event.currentTarget.getBoundingClientRect();
    const share = (from: number, whole: number) => Math.min(Math.max(from / whole, 0), 1);
    return [share(event.clientX - box.left, box.width), share(event.clientY - box.top, box.height)];
  };
  const begin = (event: PointerEvent<HTMLElement>) => {
    if (!stage) return;
    event.currentTarget.setPointerCapture(event.pointerId);
    const [x, y] = at(event);
    setDrawn({ shape, x, y, to_x: x, to_y: y });
  };
  const draw = (event: PointerEvent<HTMLElement>) => {
    if (!drawn) return;
    const [to_x, to_y] = at(event);
    setDrawn({ ...drawn, to_x, to_y });
  };
  const end = () => {
    if (drawn && Math.max(Math.abs(drawn.to_x - drawn.x), Math.abs(drawn.to_y - drawn.y)) >= least)
      add("mark", { photo: photo.entry, ...drawn });
    setDrawn(undefined);
  };
  return (
    <Sheet title={photo.what} isOpen onClose={onClose} isWide>
      <Picture onPointerDown={begin} onPointerMove={draw} onPointerUp={end} onPointerCancel={end}>
        <img
          src={`/api/photos/${photo.photo}`}
          alt={photo.what}
          draggable={false}
          onLoad={({ currentTarget }) =>
            setSize({ width: currentTarget.naturalWidth, height: currentTarget.naturalHeight })
          }
        />
        {size ? <PhotoMarks marks={drawn ? [...marks, drawn] : marks} {...size} /> : null}
      </Picture>
      <Row $gap={1}>
        {stage ? (
          <Choice
            label="Draw by finger"
            isLabelHidden
            options={[...SHAPES]}
            value={shape}
            onChange={(id) => setShape(id as Mark["shape"])}
          />
        ) : null}
        {stage && last ? <Button onPress={() => undo(last.entry)}>Undo the last mark</Button> : null}
        <Button tone="act" onPress={onClose}>
          Back to work
        </Button>
      </Row>
    </Sheet>
  );
}
