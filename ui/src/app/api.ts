import type { components } from "./contract";

type Schemas = components["schemas"];

export type Job = Schemas["Job"];
export type JobLine = Schemas["JobLine"];
export type Entry = Schemas["Entry"];
export type NewEntry = Schemas["NewEntry"];
export type Machine = Schemas["Machine"];
export type MachineLine = Schemas["MachineLine"];
export type Circuit = Schemas["Circuit"];
export type CircuitFigures = Schemas["CircuitFigures"];
export type CircuitChange = Schemas["CircuitChanges"]["changes"][number];
export type PartView = Schemas["PartView"];
export type PartValue = Schemas["PartValue"];
export type CurvePoint = Schemas["CurvePoint"];
export type Sheet = Schemas["Sheet"];
export type Shop = Schemas["Shop"];
export type ShopSettings = Schemas["ShopSettings"];
export type Candidate = Schemas["Candidate"];
export type SizingRequest = Schemas["SizingRequest"];
export type Comparison = Schemas["Comparison"];
export type LeverCurves = Schemas["LeverCurves"];
export type Explanation = Schemas["Explanation"];
export type Sizing = Schemas["Sizing"];
export type SizingRow = Schemas["SizingRow"];
export type Knowledge = Schemas["Knowledge"];
export type Stage = Schemas["Stage"];
export type Bleed = Schemas["Bleed"];
export type Feel = Schemas["Feel"];
export type Verdict = Schemas["Verdict"];
export type Supplies = Schemas["Supplies"];
export type PullLine = Schemas["PullLine"];
export type KitMatch = Schemas["KitMatch"];
export type NearMiss = Schemas["NearMiss"];
export type FluidCheck = Schemas["FluidCheck"];
export type BottlePlan = Schemas["BottlePlan"];
export type ShelfItem = Schemas["ShelfItem"];
export type Move = Schemas["Move"];
export type NewMove = Schemas["NewMove"];
export type MatrixRow = Schemas["MatrixRow"];
export type Strip = Schemas["Strip"];
export type StripStep = Schemas["StripStep"];
export type SetupRow = Schemas["SetupRow"];
export type Section = Schemas["Section"];
export type Measure = Schemas["Measure"];
export type Judgement = Schemas["Judgement"];
export type WearLimits = Schemas["WearLimits"];
export type Build = Schemas["Build"];
export type BuildPart = Schemas["BuildPart"];
export type StoredPhoto = Schemas["StoredPhoto"];
export type InstrumentReading = Schemas["InstrumentReading"];
export type Problem = Schemas["Problem"];

/** The server said no: what is wrong, where, and what would be accepted. */
export class Refused extends Error {
  constructor(readonly problem: Problem) {
    super(problem.errors.map(worded).join(" "));
  }
}

/** The server could not be reached, or broke. Worth trying again. */
export class Unreachable extends Error {}

export function worded(error: Problem["errors"][number]): string {
  const accepted = error.accepted ? ` Accepted: ${error.accepted}.` : "";
  return `${error.message}.${accepted}`.replace("..", ".");
}

export async function call<Answer>(method: string, path: string, body?: unknown): Promise<Answer> {
  const response = await reach(method, path, body);
  const answer: unknown = await response.json().catch(() => undefined);
  if (response.ok) return answer as Answer;
  if (response.status >= 500 || !isProblem(answer))
    throw new Unreachable(`The server answered ${response.status}.`);
  throw new Refused(answer);
}

async function reach(method: string, path: string, body?: unknown): Promise<Response> {
  try {
    return await fetch(`/api${path}`, {
      method,
      headers: body === undefined ? {} : { "content-type": "application/json" },
      body: body === undefined ? null : JSON.stringify(body),
    });
  } catch {
    throw new Unreachable("The server cannot be reached.");
  }
}

function isProblem(answer: unknown): answer is Problem {
  return typeof answer === "object" && answer !== null && "errors" in answer;
}
