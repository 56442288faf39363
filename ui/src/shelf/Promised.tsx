import { Link } from "react-router";
import type { ShelfItem } from "../server/api";
import { Quiet } from "../kit/layout";

/** Which jobs have been promised how much of a thing. */
export function Promised({ item, say }: { item: ShelfItem; say: (amount: number) => string }) {
  const jobs = Object.entries(item.reserved);
  if (jobs.length === 0) return null;
  return (
    <Quiet>
      {"Promised: "}
      {jobs.map(([job, amount], index) => (
        <span key={job}>
          {index > 0 ? ", " : ""}
          {`${say(amount)} to `}
          <Link to={`/jobs/${job}/choose`}>this job</Link>
        </span>
      ))}
      {`; ${say(item.free)} free.`}
    </Quiet>
  );
}
