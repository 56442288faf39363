import { useTheme } from "styled-components";
import type { ShelfItem } from "../server/api";

const FLOOR = 92;
const SHOULDER = 26;

/** A bottle with the fluid that is left in it; a sealed one wears its cap, one that may not be used is crossed out. */
export function BottleDrawing({ item }: { item: ShelfItem }) {
  const theme = useTheme();
  const full = Number(item.fields["size"]);
  const share = Math.min(1, item.amount / full);
  const level = FLOOR - share * (FLOOR - SHOULDER);
  const promised = Math.min(share, (item.amount - item.free) / full) * (FLOOR - SHOULDER);
  return (
    <svg viewBox="0 0 64 100" width="64" height="100" aria-hidden focusable="false">
      <rect x="8" y={level} width="48" height={FLOOR - level} fill={theme.fresh} />
      <rect x="8" y={FLOOR - promised} width="48" height={promised} fill={theme.warn} opacity="0.45" />
      <path
        d={`M24 10v8C24 22 8 22 8 30V${FLOOR}h48V30c0-8-16-8-16-12v-8`}
        fill="none"
        stroke={theme.tube}
        strokeWidth="4"
        strokeLinejoin="round"
      />
      {item.opened_on ? (
        <path d="M22 9h20" stroke={theme.tube} strokeWidth="3" strokeDasharray="4 3" />
      ) : (
        <path d="M21 3h22v9H21Z" fill={theme.ink} />
      )}
      {item.bottle?.refusal ? (
        <path d="M14 40 50 84M50 40 14 84" stroke={theme.stop} strokeWidth="5" />
      ) : null}
    </svg>
  );
}
