import { useUnits } from "../../server/useUnits";
import type { Choose, Job, Supplies } from "../../server/api";
import { Choice } from "../../kit/Choice";
import { FoldingPanel } from "../../kit/FoldingPanel";
import { Big, Quiet, Row } from "../../kit/layout";
import { Table } from "../../kit/Table";
import { Notice } from "../../kit/Notice";
import { useEntries } from "../useEntries";

interface Props {
  job: Job;
  choose: Choose;
  supplies: Supplies;
  isOpen: boolean;
}

/** How much fluid, from which bottles, and what every joint takes. */
export function QuantityPanel({ job, choose, supplies, isOpen }: Props) {
  const { add } = useEntries(job, "choose");
  const units = useUnits();
  const isPulled = supplies.lines.some((line) => line.group === "fluid" && line.done);
  return (
    <FoldingPanel
      title="How much fluid"
      said={`${units.say("volume", choose.need.total_ml, 0)}${isPulled ? ", on the bench" : ""}`}
      isFolded={isPulled}
    >
      <Row $gap={3}>
        <div>
          <Big>
            {units.bare("volume", choose.need.total_ml, 0)}
            <small> {units.unit("volume")}</small>
          </Big>
          <Quiet>of fluid to have on the bench</Quiet>
        </div>
        {isOpen && supplies.methods.length > 1 ? (
          <Choice
            label="Bled by"
            options={supplies.methods}
            value={choose.method}
            onChange={(method) => add("method", { method })}
          />
        ) : null}
      </Row>
      <Table aria-label="What the fluid is for">
        <tbody>
          {choose.need.lines.map((line) => (
            <tr key={line.label}>
              <td>{line.label}</td>
              <td>{units.say("volume", line.ml, 0)}</td>
            </tr>
          ))}
        </tbody>
      </Table>
      {supplies.bottles ? <Bottles plan={supplies.bottles} /> : null}
      <h3>Every joint of this circuit</h3>
      <Table aria-label="Washers and olives">
        <thead>
          <tr>
            <th scope="col">Joint</th>
            <th scope="col">Hose ends</th>
            <th scope="col">Washers</th>
            <th scope="col">Olives, inserts</th>
          </tr>
        </thead>
        <tbody>
          {supplies.joints.map((joint) => (
            <tr key={joint.at}>
              <td>{`${joint.label}, ${joint.kind}`}</td>
              <td>{joint.hoses}</td>
              <td>{joint.washers || "none"}</td>
              <td>{joint.olives || "none"}</td>
            </tr>
          ))}
        </tbody>
      </Table>
    </FoldingPanel>
  );
}

function Bottles({ plan }: { plan: NonNullable<Supplies["bottles"]> }) {
  const units = useUnits();
  const ml = (amount: number) => units.say("volume", amount, 0);
  return (
    <>
      <h3>From the shelf</h3>
      {plan.short_ml > 0 ? (
        <Notice tone="warn">
          {`The shelf is ${ml(plan.short_ml)} short. Buy ${plan.buy?.count ?? 1} × ${ml(plan.buy?.size_ml ?? 0)} of ${plan.buy?.fluid ?? "it"}, sealed.`}
        </Notice>
      ) : null}
      {plan.trim_ml ? (
        <Quiet>{`${ml(plan.trim_ml)} less than planned: use less for the spare, and open no other bottle.`}</Quiet>
      ) : null}
      {plan.picked.length === 0 && plan.short_ml === 0 ? <Quiet>All of it is on the bench.</Quiet> : null}
      <ul>
        {plan.picked.map((bottle) => (
          <li key={bottle.item}>
            <b>{bottle.name}</b>
            {`, ${bottle.state}${bottle.place ? `, ${bottle.place}` : ""}: ${ml(bottle.ml)}. `}
            {bottle.left_ml > 0.5
              ? `${ml(bottle.left_ml)} will be left${bottle.left_until ? `, to be used by ${bottle.left_until}` : ""}.`
              : "It will be empty."}
          </li>
        ))}
      </ul>
    </>
  );
}
