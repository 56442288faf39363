import type { Shown } from "./StageProps";

type Keys = [key: string, does: string][];

const NOW: Keys = [
  ["Space", "Does what the first card says. A foot switch that types a space works too."],
  ["1 to 0", "Answers it"],
  ["← →", "To the other things that can be done now"],
];
const UNDO: Keys = [["U", "Undo the last entry"]];
const FACING: Keys = [["1, 2", "Answer which way the part at hand faces"]];

/** Keys of each stage. */
export const STAGE_KEYS: Record<Shown, Keys> = {
  ask: [...NOW, ...UNDO],
  choose: [...NOW, ...UNDO],
  strip: [...NOW, ...UNDO],
  measure: [
    ...NOW,
    ["G", "To the gauge field, where it is open; Enter takes a reading and goes on to the next place"],
    ...UNDO,
  ],
  build: [...NOW, ...FACING, ...UNDO],
  fit: [...NOW, ...FACING, ["T", "To the field of the next fastener, where Torque is open"], ...UNDO],
  bleed: [
    ["Space", "Count one stroke, or the next step of the cycle. A foot switch that types a space works too."],
    ["1 … 5", "That step of the cycle, where each step is counted"],
    ["T", "Refilled to the mark, nipple shut"],
    ["B", "Bubbles seen in the clear hose"],
    ["C", "Colour: one step towards fresh"],
    ["F", "Finish this point"],
    ["U", "Undo the last entry"],
    ["X", "The port was uncovered: start over"],
    ["E", "Sound: voice, tones or off"],
  ],
  feel: [
    ...NOW,
    ["N", "New reading: puts the cursor in the first field"],
    ["Enter", "Next field; after the last one the reading is recorded"],
    ["Esc", "Leaves a field, so that the other keys work again"],
    ["H", "To the field of the hold test, where it is open"],
    ...UNDO,
  ],
  close: [...NOW, ...UNDO],
};
