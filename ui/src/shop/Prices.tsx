import { useQuery } from "@tanstack/react-query";
import styled from "styled-components";
import type { Shop, ShopSettings } from "../server/api";
import { knowledgeQuery } from "../server/queries";
import { EntryField } from "../kit/EntryField";
import { moneyTyped } from "../kit/money";

interface Props {
  shop: Shop;
  errorAt: (pointer: string) => string | undefined;
  onChange: (changed: ShopSettings) => void;
}

const Grid = styled.div`
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(10.5rem, 1fr));
  gap: 0.8rem;
`;

/** The shop's rate and what it pays for things. */
export function Prices({ shop, errorAt, onChange }: Props) {
  const prices = useQuery(knowledgeQuery).data?.prices ?? [];
  return (
    <>
      <h2>Rate and prices</h2>
      <Grid>
        <EntryField
          key={shop.currency}
          label="Currency"
          value={shop.currency}
          error={errorAt("currency")}
          onFinish={(currency) => onChange({ currency })}
        />
        <EntryField
          key={shop.hourly_rate_minor}
          label="Rate an hour"
          unit={shop.currency}
          value={moneyTyped(shop.hourly_rate_minor)}
          error={errorAt("hourly_rate_minor")}
          onFinish={(rate) => onChange({ hourly_rate_minor: rate })}
        />
        {prices.map((price) => (
          <EntryField
            key={`${price.id}-${shop.prices[price.id]}`}
            label={price.label}
            unit={shop.currency}
            value={moneyTyped(shop.prices[price.id] ?? 0)}
            error={errorAt(`prices/${price.id}`)}
            onFinish={(sum) => onChange({ prices: { ...shop.prices, [price.id]: sum } })}
          />
        ))}
      </Grid>
    </>
  );
}
