import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { answer, client } from "../server/client";
import { Refused, worded } from "../server/faults";
import type { Shop, ShopSettings } from "../server/api";
import { shopQuery, toolWorthQuery } from "../server/queries";
import { Choice } from "../kit/Choice";
import { EntryField } from "../kit/EntryField";
import { size } from "../kit/format";
import { Loaded } from "../kit/Loaded";
import { Page, Panel, Quiet, Row, Split } from "../kit/layout";
import { Notice } from "../kit/Notice";
import { Archive } from "../pieces/Archive";
import { useTitle } from "../kit/useTitle";
import { Schools } from "./Schools";
import { People } from "./People";
import { KeptHere } from "./KeptHere";
import { Prices } from "./Prices";
import { ToolWorth } from "./ToolWorth";

export function ShopPage() {
  useTitle("Shop");
  const shop = useQuery(shopQuery);
  return <Loaded query={shop}>{(data) => <ShopSettingsForm shop={data} />}</Loaded>;
}

const DIMENSIONS: Record<string, string> = {
  length: "Lengths",
  torque: "Torque",
  pressure: "Pressure",
  volume: "Volumes",
};

const LIMITS: [name: string, label: string, unit: string][] = [
  ["effort_hand", "Greatest effort by hand", "N"],
  ["effort_foot", "Greatest effort by foot", "N"],
  ["safe_gap", "Gap to the grip that must stay", "mm"],
];

function ShopSettingsForm({ shop }: { shop: Shop }) {
  const queryClient = useQueryClient();
  const change = useMutation({
    // one after another, each made to the newest settings that this page has seen
    scope: { id: "shop" },
    mutationFn: (changed: ShopSettings) => {
      const now = queryClient.getQueryData(shopQuery.queryKey) ?? shop;
      return answer(
        client.PUT("/shop", {
          body: {
            name: now.name,
            units: now.units,
            school: now.school,
            band: now.band,
            limits: now.limits,
            fluid_months: now.fluid_months,
            lubricant: now.lubricant,
            schools: now.schools,
            currency: now.currency,
            hourly_rate_minor: now.hourly_rate_minor,
            prices: now.prices,
            people: now.people,
            revision: now.revision,
            ...changed,
          },
        }),
      );
    },
    onSuccess: (set) => {
      queryClient.setQueryData(shopQuery.queryKey, set);
      return queryClient.invalidateQueries({ queryKey: toolWorthQuery.queryKey });
    },
  });
  const refused = change.error instanceof Refused ? change.error.problem.errors[0] : undefined;
  const errorAt = (pointer: string) => (refused?.pointer.startsWith(pointer) ? worded(refused) : undefined);
  const bandEdge = (index: number, text: string) =>
    change.mutate({ band: shop.band.map((edge, at) => (at === index ? text : edge)) });
  return (
    <Page>
      <header>
        <h1>Shop</h1>
        <Quiet>Set once, used everywhere. Nothing that is stored changes.</Quiet>
      </header>
      {shop.damaged ? (
        <Notice tone="stop">
          {`Damaged: ${shop.damaged.map((each) => each.id.replace("all", "every setting")).join(", ")}. The defaults stand in its place until it is set again.`}
        </Notice>
      ) : null}
      {change.error && !refused ? <Notice tone="warn">{change.error.message}</Notice> : null}
      <Split>
        <Panel>
          <EntryField
            key={shop.name}
            label="The shop's name, printed on job cards"
            value={shop.name}
            error={errorAt("name")}
            onFinish={(name) => change.mutate({ name })}
          />
          <People shop={shop} error={errorAt("people")} onChange={(changed) => change.mutate(changed)} />
          <h2>Display units</h2>
          {Object.entries(shop.offered).map(([dimension, units]) => (
            <Choice
              key={dimension}
              label={DIMENSIONS[dimension] ?? dimension}
              options={units.map((unit) => ({ id: unit, label: unit }))}
              value={shop.units[dimension]}
              onChange={(unit) => change.mutate({ units: { ...shop.units, [dimension]: unit } })}
            />
          ))}
          <Quiet>Any unit may still be typed anywhere: 5/8, 17,5 mm, 0.55 in, 70 in-lb.</Quiet>
          <Prices shop={shop} errorAt={errorAt} onChange={(changed) => change.mutate(changed)} />
          <Schools shop={shop} onChange={(changed) => change.mutate(changed)} />
        </Panel>
        <Panel>
          <h2>Cylinders</h2>
          <Choice
            label="Rank cylinders by"
            options={[
              { id: "effort_travel", label: "Effort and travel" },
              { id: "ratio_band", label: "Ratio band" },
            ]}
            value={shop.school}
            onChange={(school) => change.mutate({ school })}
          />
          <Quiet>
            Effort and travel is the default: it is computed for this lever, hose and caliper. A volume ratio
            knows nothing of hose, pads or lever, but a shop that knows its band can stay in it.
          </Quiet>
          <Row>
            {shop.band.map((edge, index) => (
              <EntryField
                key={`${index}-${edge}`}
                label={index === 0 ? "Band from" : "Band to"}
                inputMode="decimal"
                value={size(edge)}
                error={errorAt(`band/${index}`) ?? (index === 1 ? errorAt("band") : undefined)}
                onFinish={(text) => bandEdge(index, text)}
              />
            ))}
          </Row>
          <h2>Fluid and assembly</h2>
          <EntryField
            key={`months-${shop.fluid_months}`}
            label="Longest interval between fluid changes"
            unit="months"
            inputMode="decimal"
            value={String(shop.fluid_months)}
            error={errorAt("fluid_months")}
            onFinish={(text) => change.mutate({ fluid_months: text })}
          />
          <Choice
            label="Cups are wetted with"
            hint="Only where fluid and rubber of the circuit bear it; else with its own fluid. Each job may differ."
            options={shop.lubricants.map(({ id, label }) => ({ id, label }))}
            value={shop.lubricant}
            onChange={(lubricant) => change.mutate({ lubricant })}
          />
          <h2>Limits of new circuits</h2>
          {LIMITS.map(([name, label, unit]) => (
            <EntryField
              key={`${name}-${shop.limits[name]}`}
              label={label}
              unit={unit}
              value={size(shop.limits[name] ?? 0)}
              error={errorAt(`limits/${name}`)}
              onFinish={(text) => change.mutate({ limits: { ...shop.limits, [name]: text } })}
            />
          ))}
          <ToolWorth currency={shop.currency} />
        </Panel>
      </Split>
      <Panel>
        <h2>Export and import</h2>
        <Archive />
        <h2>This browser</h2>
        <KeptHere />
      </Panel>
    </Page>
  );
}
