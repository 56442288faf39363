/** What the stage is called, and the question it settles. */
export const words = { name: "Bleed", question: "How many strokes, when to top up?" };
