import { usePhone } from "../kit/usePhone";

export interface Area {
  width: number;
  height: number;
  left: number;
  right: number;
  top: number;
  bottom: number;
}

/** On a phone a chart is drawn as wide as its screen, so that its letters keep their size. */
const PHONE_WIDTH = 340;

export function useArea(area: Area): Area {
  return usePhone() ? { ...area, width: PHONE_WIDTH, left: 46, right: 14 } : area;
}
