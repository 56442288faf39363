import { useQuery } from "@tanstack/react-query";
import { EntryField } from "../kit/EntryField";
import { Picker } from "../kit/Picker";
import type { Power, Shop } from "../server/api";
import { shopQuery } from "../server/queries";

interface Props {
  label: string;
  value: string;
  /** What that person must be allowed to do; anybody, where there is none. */
  power?: Power | undefined;
  onPick: (name: string) => void;
}

/** Those of the shop's people who may do it. */
export function peopleWho(shop: Shop | undefined, power: Power | undefined): string[] {
  const able = (role: string) =>
    power === undefined || shop?.roles.some(({ id, powers }) => id === role && powers.includes(power));
  return (shop?.people ?? []).filter(({ role }) => able(role)).map(({ name }) => name);
}

/** A name: picked from the shop's people; typed, while the shop has named nobody. */
export function PersonField({ label, value, power, onPick }: Props) {
  const shop = useQuery(shopQuery).data;
  if (!shop || shop.people.length === 0) return <EntryField label={label} value={value} onFinish={onPick} />;
  const options = peopleWho(shop, power).map((name) => ({ id: name, label: name }));
  return <Picker label={label} options={options} value={value} onChange={onPick} placeholder="Pick a name" />;
}
