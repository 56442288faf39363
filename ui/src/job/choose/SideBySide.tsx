import { useQuery } from "@tanstack/react-query";
import type { KitMatch } from "../../server/api";
import { money } from "../../kit/money";
import { Table } from "../../kit/Table";
import { shopQuery } from "../../server/queries";

const MAKES = { machine_maker: "the machine's maker", other_maker: "another maker" } as const;

/** Kits that could be taken, one on the right of the other: who makes them, the price, and what is in them. */
export function SideBySide({ kits }: { kits: KitMatch[] }) {
  const currency = useQuery(shopQuery).data?.currency ?? "EUR";
  const parts = [...new Set(kits.flatMap((kit) => kit.holds ?? []))];
  const row = (label: string, of: (kit: KitMatch) => string) => (
    <tr key={label}>
      <th scope="row">{label}</th>
      {kits.map((kit) => (
        <td key={kit.item} className="words">
          {of(kit)}
        </td>
      ))}
    </tr>
  );
  return (
    <Table aria-label="Kits side by side">
      <thead>
        <tr>
          <th scope="col" />
          {kits.map((kit) => (
            <th key={kit.item} scope="col" className="words">
              {kit.name}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {row("Made by", (kit) => (kit.make ? MAKES[kit.make] : "not on record"))}
        {row("Price", (kit) =>
          kit.price_minor === undefined ? "not on record" : money(kit.price_minor, currency),
        )}
        {parts.map((part) => row(part, (kit) => ((kit.holds ?? []).includes(part) ? "in it" : "–")))}
      </tbody>
    </Table>
  );
}
