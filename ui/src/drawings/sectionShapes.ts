/** What a part of a cylinder is drawn as, and how much of the bore's length it takes. */
export type PartShape = "spring" | "cup" | "piston" | "washer" | "ring" | "boot" | "plate" | "rod" | "lever";

const SHAPES: Record<string, PartShape> = {
  spring: "spring",
  sc_spring: "spring",
  primary_cup: "cup",
  secondary_cup: "cup",
  cap_seal: "cup",
  sc_cup: "cup",
  cal_seal: "washer",
  cal_dust_seal: "washer",
  cal_piston: "piston",
  ring_piston: "piston",
  pad: "plate",
  release_bearing: "plate",
  dirt_seal: "cup",
  piston: "piston",
  stop_washer: "washer",
  bore_circlip: "ring",
  boot: "boot",
  stop_plate: "plate",
  retaining_plate: "plate",
  pushrod: "rod",
  pedal_rod: "rod",
  clutch_rod: "rod",
  lever: "lever",
  lever_assy: "lever",
};

const WIDTHS: Record<PartShape, number> = {
  spring: 110,
  cup: 34,
  piston: 140,
  washer: 16,
  ring: 18,
  boot: 56,
  plate: 18,
  rod: 100,
  lever: 76,
};

export interface Placed {
  shape: PartShape;
  x: number;
  width: number;
}

/** Parts laid end to end from the bore's end. */
export function placed(ids: string[], from: number, gap: number): Placed[] {
  let x = from;
  return ids.map((id) => {
    const shape = SHAPES[id] ?? "rod";
    const at = { shape, x, width: WIDTHS[shape] };
    x += at.width + gap;
    return at;
  });
}
