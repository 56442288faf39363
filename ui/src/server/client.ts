import createClient from "openapi-fetch";
import type { paths } from "./contract";
import { setTime } from "../kit/time";
import { TIME } from "../worker/agreed";
import { Broken, isProblem, Refused, Unreachable, Waits } from "./faults";

/** The server by its contract: paths, bodies and answers are typed from api/openapi.yaml. */
export const client = createClient<paths>({ baseUrl: "/api" });

/** What was read while no worker stood between page and server to keep it. */
const readUnkept = new Set<string>();
client.use({
  onRequest: ({ request }) => {
    if (request.method === "GET" && !navigator.serviceWorker?.controller) readUnkept.add(request.url);
  },
});

/** Reads it once more, by way of the worker that just took over; the page keeps what it shows. */
export async function readForWorker(): Promise<void> {
  const addresses = [...readUnkept];
  readUnkept.clear();
  await Promise.allSettled(addresses.map((address) => fetch(address)));
}

interface Sent<Data> {
  data?: Data;
  error?: unknown;
  response: Response;
}

/** Answers that say nothing of what was sent: the same again, once there is time or room. */
const LATER: Record<number, string> = { 503: "the server is busy", 507: "the server's disc is full" };

/** What the server answered; or a Refused, a Waits, a Broken or an Unreachable. */
export async function answer<Data>(sending: Promise<Sent<Data>>): Promise<Data> {
  const { data, error, response } = await sending.catch(() => {
    throw new Unreachable("The server cannot be reached.");
  });
  const said = Date.parse(response.headers.get(TIME) ?? "");
  if (!Number.isNaN(said)) setTime(said);
  if (response.ok && data !== undefined) return data;
  if (response.status < 500 && isProblem(error)) throw new Refused(error);
  const later = LATER[response.status];
  if (later) throw new Waits(later);
  throw new Broken(`The server answered ${response.status}.`);
}
