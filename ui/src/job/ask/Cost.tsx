import type { Ask } from "../../server/api";
import { money } from "../../kit/money";
import { Big, Quiet } from "../../kit/layout";
import { Table } from "../../kit/Table";

/** Minutes and money of the route, and kit against whole unit. */
export function Cost({ costs }: { costs: Ask["costs"] }) {
  const { estimate, kit_or_unit } = costs;
  return (
    <>
      {estimate ? (
        <>
          <Big $size="2.2rem">
            {estimate.minutes} <small>min, {money(estimate.total_minor, estimate.currency)}</small>
          </Big>
          <Table aria-label="What the route costs">
            <tbody>
              {estimate.lines.map((line) => (
                <tr key={line.label}>
                  <td>{line.label}</td>
                  <td>{money(line.minor, estimate.currency)}</td>
                </tr>
              ))}
            </tbody>
          </Table>
        </>
      ) : (
        <Quiet>Worked out when a repair is chosen.</Quiet>
      )}
      <Quiet>
        Kit {money(kit_or_unit.kit.total_minor, kit_or_unit.kit.currency)} in {kit_or_unit.kit.minutes} min,
        whole unit {money(kit_or_unit.unit.total_minor, kit_or_unit.unit.currency)} in{" "}
        {kit_or_unit.unit.minutes} min. {kit_or_unit.advice} The bore measurement may change this.
      </Quiet>
    </>
  );
}
