import createClient from "openapi-fetch";
import type { paths } from "./contract";
import { setTime } from "../kit/time";
import { TIME } from "../worker/agreed";
import { Broken, isProblem, Refused, Unreachable } from "./faults";

/** The server by its contract: paths, bodies and answers are typed from api/openapi.yaml. */
export const client = createClient<paths>({ baseUrl: "/api" });

interface Sent<Data> {
  data?: Data;
  error?: unknown;
  response: Response;
}

/** What the server answered; or a Refused, a Broken or an Unreachable. */
export async function answer<Data>(sending: Promise<Sent<Data>>): Promise<Data> {
  const { data, error, response } = await sending.catch(() => {
    throw new Unreachable("The server cannot be reached.");
  });
  const said = Date.parse(response.headers.get(TIME) ?? "");
  if (!Number.isNaN(said)) setTime(said);
  if (response.ok && data !== undefined) return data;
  if (response.status < 500 && isProblem(error)) throw new Refused(error);
  throw new Broken(`The server answered ${response.status}.`);
}
