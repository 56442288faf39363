import { Fragment } from "react";
import { useTheme } from "styled-components";
import type { Label } from "./labelLayout";
import { LINE_HEIGHT } from "./labelLayout";

/** The lines beside a part; the first is bold. */
export function PartLabel({ x, y, lines, anchor }: Label) {
  const theme = useTheme();
  // the space between the lines is not drawn; it parts the words for a screen reader
  return lines.map((line, index) => (
    <Fragment key={line}>
      {" "}
      <text
        x={x}
        y={y + index * LINE_HEIGHT}
        textAnchor={anchor}
        fontSize="16"
        fill={index === 0 ? theme.ink : theme.quiet}
        fontWeight={index === 0 ? 650 : 400}
      >
        {line}
      </text>
    </Fragment>
  ));
}
