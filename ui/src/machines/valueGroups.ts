import type { PartValue } from "../server/api";

export interface ValueGroup {
  id: string;
  title: string;
  values: PartValue[];
}

/**
 * Values of a part as they are looked for: what somebody entered stands open; what stands at its default is folded by
 * what it is, and is found by typing.
 */
export function valueGroups(values: PartValue[], typed: string): { open: PartValue[]; folded: ValueGroup[] } {
  const wanted = typed.trim().toLowerCase();
  if (wanted)
    return { open: values.filter((value) => value.label.toLowerCase().includes(wanted)), folded: [] };
  const open = values.filter((value) => value.source !== "default" || value.beyond !== undefined);
  const rest = values.filter((value) => !open.includes(value));
  const torques = rest.filter((value) => value.field.startsWith("torque_"));
  const days = rest.filter((value) => value.type === "date");
  const others = rest.filter((value) => !torques.includes(value) && !days.includes(value));
  const folded = [
    { id: "defaults", title: "At their defaults", values: others },
    { id: "torques", title: "Torque, from the service information", values: torques },
    { id: "days", title: "Days", values: days },
  ].filter((group) => group.values.length > 0);
  return { open, folded };
}
