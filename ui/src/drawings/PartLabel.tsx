import { useTheme } from "styled-components";

interface Props {
  x: number;
  y: number;
  lines: string[];
  anchor?: "start" | "end";
}

const LINE_HEIGHT = 19;

/** The lines beside a part; the first is bold. */
export function PartLabel({ x, y, lines, anchor = "start" }: Props) {
  const theme = useTheme();
  return lines.map((line, index) => (
    <text
      key={line}
      x={x}
      y={y + index * LINE_HEIGHT}
      textAnchor={anchor}
      fontSize="16"
      fill={index === 0 ? theme.ink : theme.quiet}
      fontWeight={index === 0 ? 650 : 400}
    >
      {line}
    </text>
  ));
}
