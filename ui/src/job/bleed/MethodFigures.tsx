import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import type { Bleed, BleedSupposed, Job } from "../../server/api";
import { bleedVerdictsQuery } from "../../server/queries";
import { figure } from "../../kit/format";
import { Table } from "../../kit/Table";

interface Props {
  job: Job;
  bleed: Bleed;
  supposed: BleedSupposed;
  method: string;
}

/** Every number of a verdict, with its formula and the values in it; asked for when it is opened. */
export function MethodFigures({ job, bleed, supposed, method }: Props) {
  const [isOpen, setOpen] = useState(false);
  const { data } = useQuery({
    ...bleedVerdictsQuery(job.id, bleed, { ...supposed, explain: method }),
    enabled: isOpen,
  });
  return (
    <details onToggle={(event) => setOpen(event.currentTarget.open)}>
      <summary>The figures</summary>
      {data?.figures ? (
        <Table aria-label="The figures">
          <tbody>
            {data.figures.map((item) => (
              <tr key={`${item.place} ${item.label}`}>
                <td className="words">
                  <strong>{item.label}</strong>
                  <br />
                  <small>{item.place}</small>
                  <br />
                  <code>{item.formula}</code>
                  <br />
                  <code>{item.filled}</code>
                </td>
                <td>{`${figure(item.value, item.value < 1 ? 3 : 1)} ${item.unit}`}</td>
              </tr>
            ))}
          </tbody>
        </Table>
      ) : null}
    </details>
  );
}
