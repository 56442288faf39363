import styled from "styled-components";

interface Cell {
  number: number;
  part: string;
  label: string;
  /** Pieces in the cell. */
  count: number;
  /** Single use: the old one is for the bin. */
  renewed: boolean;
}

const Cells = styled.ol`
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(7.2rem, 1fr));
  gap: 3px;
  padding: 6px;
  background: ${(p) => p.theme.line};
  border-radius: 0.6rem;
`;

const Cell = styled.li<{ $empty: boolean; $binned: boolean }>`
  position: relative;
  display: grid;
  align-content: space-between;
  min-height: 4.4rem;
  padding: 0.35rem 0.5rem;
  border-radius: 0.3rem;
  background: ${(p) => (p.$empty ? p.theme.sunk : p.theme.panel)};
  color: ${(p) => (p.$empty ? p.theme.quiet : p.theme.ink)};
  font-size: 0.92rem;
  line-height: 1.15;
  overflow: hidden;
  b {
    font:
      700 1.15rem/1 "Atkinson Hyperlegible Mono Variable",
      monospace;
  }
  small {
    color: ${(p) => p.theme.quiet};
    font-size: 0.82rem;
  }
  svg {
    position: absolute;
    inset: 0;
    width: 100%;
    height: 100%;
    color: ${(p) => p.theme.stop};
    opacity: 0.55;
    pointer-events: none;
  }
`;

const Foot = styled.span`
  display: flex;
  justify-content: space-between;
  align-items: end;
  gap: 0.3rem;
`;

/** The parts tray: numbered cells in the order things came out. A cross is for the bin; an empty cell has gone back. */
export function TrayDrawing({ cells, label }: { cells: Cell[]; label: string }) {
  return (
    <Cells aria-label={label}>
      {cells.map((cell) => (
        <Cell
          key={cell.part}
          $empty={cell.count === 0}
          $binned={cell.renewed}
          aria-label={`${cell.number}: ${cell.label}, ${cell.count}${cell.renewed ? ", old ones to the bin" : ""}`}
        >
          {cell.renewed && cell.count > 0 ? (
            <svg viewBox="0 0 100 100" preserveAspectRatio="none" aria-hidden focusable="false">
              <path
                d="M4 4 96 96M96 4 4 96"
                stroke="currentColor"
                strokeWidth="2.5"
                vectorEffect="non-scaling-stroke"
              />
            </svg>
          ) : null}
          <span>{cell.label}</span>
          <Foot>
            <small>{cell.number}</small>
            <b>{cell.count}</b>
          </Foot>
        </Cell>
      ))}
    </Cells>
  );
}
