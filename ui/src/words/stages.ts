import type { Stage } from "../server/api";

export const stageNames: Record<Stage, string> = {
  ask: "Ask",
  choose: "Choose",
  strip: "Strip",
  measure: "Measure",
  build: "Build",
  fit: "Fit",
  bleed: "Bleed",
  feel: "Feel",
  close: "Close",
};

export const stageQuestions: Record<Stage, string> = {
  ask: "What is wrong, and which repair?",
  choose: "Which cylinder, which fluid, how much?",
  strip: "In what order?",
  measure: "Reuse or renew?",
  build: "The right way round?",
  fit: "On the machine right?",
  bleed: "How many strokes, when to top up?",
  feel: "Air, hose, leak, or fine?",
  close: "May it be used again?",
};
