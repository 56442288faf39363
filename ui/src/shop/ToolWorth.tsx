import { useQuery } from "@tanstack/react-query";
import { money } from "../kit/money";
import { Quiet } from "../kit/layout";
import { Table } from "../kit/Table";
import { toolWorthQuery } from "../server/queries";

/** What cheap bleeding tools would have saved, by the jobs that were signed in the last twelve months. */
export function ToolWorth({ currency }: { currency: string }) {
  const worth = useQuery(toolWorthQuery).data;
  if (!worth) return null;
  if (worth.jobs === 0) {
    return <Quiet>What a bleeding tool would save is worked out from the first signed bleed.</Quiet>;
  }
  return (
    <>
      <h2>What a tool would have saved</h2>
      <Quiet>
        {`In twelve months ${worth.jobs} ${worth.jobs === 1 ? "job" : "jobs"} with ${worth.points} bled ${worth.points === 1 ? "point" : "points"}: minutes by each method, at your rate.`}
      </Quiet>
      <Table aria-label="What a tool would have saved">
        <thead>
          <tr>
            <th scope="col">Tool</th>
            <th scope="col">Price</th>
            <th scope="col">Saved, min</th>
            <th scope="col">Saved</th>
            <th scope="col" className="words">
              Paid for
            </th>
          </tr>
        </thead>
        <tbody>
          {worth.tools.map((tool) => (
            <tr key={tool.id}>
              <td>{tool.label}</td>
              <td>{money(tool.price_minor, currency)}</td>
              <td>{tool.minutes}</td>
              <td>{money(tool.saved_minor, currency)}</td>
              <td className="words">
                {tool.months === undefined ? "no time saved" : `in ${tool.months} months`}
              </td>
            </tr>
          ))}
        </tbody>
      </Table>
    </>
  );
}
