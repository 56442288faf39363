import type { Stage } from "../server/api";

/** Each stage names itself in its own folder. */
const found = import.meta.glob<{ name: string; question: string }>("../job/*/words.ts", {
  eager: true,
  import: "words",
});

const of = (word: "name" | "question") =>
  Object.fromEntries(
    Object.entries(found).map(([path, words]) => [path.split("/").at(-2), words[word]]),
  ) as Record<Stage, string>;

export const stageNames = of("name");

export const stageQuestions = of("question");
