/** What the stage is called, and the question it settles. */
export const words = { name: "Feel", question: "Air, hose, leak, or fine?" };
