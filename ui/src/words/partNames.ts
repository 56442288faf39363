import type { PartView } from "../server/api";

const NAMES: Record<PartView["part"], string> = {
  lever: "Lever",
  master: "Master cylinder",
  reservoir: "Reservoir",
  line: "Hose",
  caliper: "Caliper",
  slave: "Clutch slave",
  vehicle: "Machine to stop",
  target: "What is wanted",
  fluid: "Fluid",
};

export const partName = (part: PartView): string => part.label ?? NAMES[part.part];

export const SOURCES: Record<string, string> = {
  service_info: "service info",
  part_marking: "part marking",
  measured: "measured",
  shop_setting: "shop setting",
  estimate: "estimate",
  default: "trade default",
};
