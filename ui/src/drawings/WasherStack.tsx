import { useTheme } from "styled-components";

interface Props {
  /** Hose ends on the bolt. */
  hoses: number;
  wanted: number;
  /** What seals the faces, in words. */
  kind: string;
  label: string;
}

const HEAD = 18;
const WASHER = 7;
const END = 24;

/** A joint in section: bolt, hose ends, and a seal on each face. */
export function WasherStack({ hoses, wanted, kind, label }: Props) {
  const theme = useTheme();
  const isNut = kind.startsWith("olives");
  const layers = isNut ? [] : stack(hoses);
  const height = HEAD + layers.reduce((sum, layer) => sum + layer.height, 0);
  const body = height + 34;
  return (
    <svg
      viewBox={`0 0 150 ${Math.max(body + 8, 92)}`}
      role="img"
      aria-label={`${label}: ${wanted} ${kind}, ${hoses} hose ${hoses === 1 ? "end" : "ends"}`}
      style={{ width: "100%", maxHeight: "11rem" }}
    >
      {isNut ? <Nut /> : null}
      {isNut ? null : (
        <>
          <path d={`M0 ${height}h150v34H0Z`} fill={theme.tube} />
          <rect x="64" y={HEAD} width="22" height={height - HEAD + 26} fill={theme.quiet} />
          <rect x="48" y="0" width="54" height={HEAD} rx="3" fill={theme.quiet} />
          {layers.map((layer) => (
            <g key={layer.y}>
              {layer.kind === "washer" ? (
                <>
                  <rect x="40" y={layer.y} width="24" height={layer.height} fill={theme.warn} />
                  <rect x="86" y={layer.y} width="24" height={layer.height} fill={theme.warn} />
                </>
              ) : (
                <>
                  <rect
                    x="34"
                    y={layer.y}
                    width="30"
                    height={layer.height}
                    fill={theme.line}
                    stroke={theme.ink}
                  />
                  <rect
                    x="86"
                    y={layer.y}
                    width="30"
                    height={layer.height}
                    fill={theme.line}
                    stroke={theme.ink}
                  />
                  <rect x="116" y={layer.y + 5} width="34" height={layer.height - 10} fill={theme.ink} />
                </>
              )}
            </g>
          ))}
        </>
      )}
    </svg>
  );
}

function Nut() {
  const theme = useTheme();
  return (
    <>
      <path d="M0 20h60v52H0Z" fill={theme.tube} />
      <rect x="40" y="38" width="100" height="16" fill={theme.ink} />
      <path d="M60 30h44v32H60Z" fill={theme.quiet} />
      <path d="M48 34h14v24H48Z" fill={theme.warn} />
    </>
  );
}

interface Layer {
  kind: "washer" | "end";
  y: number;
  height: number;
}

/** Washer, end, washer, end, washer: from the bolt's head down to the port. */
function stack(hoses: number): Layer[] {
  const kinds = Array.from({ length: 2 * hoses + 1 }, (_, index) => (index % 2 === 0 ? "washer" : "end"));
  let y = HEAD;
  return kinds.map((kind) => {
    const height = kind === "washer" ? WASHER : END;
    const layer: Layer = { kind: kind as Layer["kind"], y, height };
    y += height;
    return layer;
  });
}
