import type { Fit } from "../../server/api";

interface OpenItem {
  label: string;
  left: number;
}

/** How much is left of each kind of work in the phase at hand; kinds this job does not have are left out. */
export function openItems(fit: Fit): OpenItem[] {
  const inPhase = (when: string) => !fit.bleeds || when === fit.phase;
  const torques = fit.torques.filter((line) => inPhase(line.when));
  const steps = fit.steps.filter((step) => inPhase(step.when));
  const beforehand = fit.phase === "before";
  const rows: [string, boolean, number][] = [
    ["Steps", steps.length > 0, count(steps, (step) => step.status !== "done")],
    ["Washers and seals", beforehand && fit.washers.length > 0, count(fit.washers, (stack) => !stack.done)],
    ["Hoses", beforehand && fit.hoses.length > 0, fit.hoses.reduce((sum, hose) => sum + hose.due.length, 0)],
    ["Torque", torques.length > 0, count(torques, (line) => !line.done)],
    ["Free play", fit.free_play !== undefined, fit.free_play?.due ? 1 : 0],
    ["Clearance and looks", beforehand && fit.checks.length > 0, count(fit.checks, (check) => !check.pass)],
    ["Reservoir", beforehand && fit.reservoir !== undefined, fit.reservoir?.due ? 1 : 0],
    ["Tray", fit.all_back, fit.zero ? 0 : 1],
    ["Switch", beforehand && fit.electrics !== undefined, switchLeft(fit)],
  ];
  return rows.filter(([, has]) => has).map(([label, , left]) => ({ label, left }));
}

function count<T>(things: T[], isOpen: (thing: T) => boolean): number {
  return things.filter(isOpen).length;
}

function switchLeft({ electrics }: Fit): number {
  if (!electrics) return 0;
  const parts = [electrics.rest.good, electrics.pulled.good, !electrics.lamp_wanted || electrics.lamp_good];
  return parts.filter((good) => !good).length;
}
