import { useRef } from "react";
import type { ReactNode } from "react";
import styled from "styled-components";
import { Button } from "./Button";
import { downloadSvg } from "./download";

interface Props {
  /** The file is called so. */
  name: string;
  /** What the drawing shows, for the button's name. */
  label: string;
  /** The drawing, with the button where there is room for it. */
  children: (button: ReactNode) => ReactNode;
}

/** In the flow as if it were not there. */
const Frame = styled.div`
  display: contents;
`;

/** A drawing that can be kept as a file of its own. */
export function Saved({ name, label, children }: Props) {
  const frame = useRef<HTMLDivElement>(null);
  const save = () => downloadSvg(name, frame.current?.querySelector<SVGSVGElement>("svg[viewBox]"));
  return (
    <Frame ref={frame}>
      {children(
        <Button aria-label={`SVG of ${label}`} onPress={save}>
          SVG
        </Button>,
      )}
    </Frame>
  );
}
