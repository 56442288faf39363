import { readFileSync } from "node:fs";
import { describe, expect, it } from "vitest";
import { stageNames, stageQuestions } from "./stages";

/** The stages that the contract knows, in order. */
const contract = readFileSync("../api/openapi.yaml", "utf8");
const stages = /^ {4}Stage: .*enum: \[([^\]]+)\]/m.exec(contract)?.[1]?.split(", ") ?? [];

describe("the stages", () => {
  it("are named by their folders, every one of the contract and no other", () => {
    expect(stages).toHaveLength(9);
    expect(Object.keys(stageNames).sort()).toEqual([...stages].sort());
  });

  it("each have a name of their own and ask a question", () => {
    expect(new Set(Object.values(stageNames)).size).toBe(9);
    for (const question of Object.values(stageQuestions)) expect(question).toMatch(/^[A-Z].*\?$/);
  });
});
