import { QueryClient, QueryObserver } from "@tanstack/react-query";
import { beforeEach, describe, expect, it } from "vitest";
import type { Changed } from "./api";
import { takeChange } from "./takeChange";

type Answer = (text: string) => void;

describe("a change that comes with an entry", () => {
  let client: QueryClient;
  let answers: Answer[];

  beforeEach(() => {
    client = new QueryClient({ defaultOptions: { queries: { staleTime: 2000 } } });
    answers = [];
  });

  const question = (...queryKey: string[]) => ({
    queryKey,
    queryFn: () => new Promise<string>((answer) => answers.push(answer)),
  });
  const settled = () => new Promise((done) => setTimeout(done));
  const change = (changed: unknown) => takeChange(client, "j", changed as Changed);

  it("drops an answer asked ahead of it, and the room that opens asks again", async () => {
    void client.prefetchQuery(question("stage", "j", "choose"));
    change({ stage: { id: "ask" } });
    answers[0]?.("before");
    await settled();
    const room = new QueryObserver(client, question("stage", "j", "choose"));
    room.subscribe(() => undefined);
    answers[1]?.("after");
    await settled();
    expect(room.getCurrentResult().data).toBe("after");
  });

  it("asks again for a room that is open and still waits for its first answer", async () => {
    const room = new QueryObserver(client, question("supplies", "j"));
    room.subscribe(() => undefined);
    change({});
    answers[1]?.("after");
    answers[0]?.("before");
    await settled();
    expect(room.getCurrentResult().data).toBe("after");
  });

  it("stands against an older answer that comes late", async () => {
    void client.prefetchQuery(question("job", "j"));
    change({ job: { id: "j" } });
    answers[0]?.("before");
    await settled();
    expect(client.getQueryData(["job", "j"])).toEqual({ id: "j" });
  });

  it("leaves another job's answers alone", async () => {
    client.setQueryData(["stage", "other", "choose"], "kept");
    change({});
    await settled();
    expect(client.getQueryState(["stage", "other", "choose"])?.isInvalidated).toBe(false);
  });
});
