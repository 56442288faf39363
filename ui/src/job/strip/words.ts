/** What the stage is called, and the question it settles. */
export const words = { name: "Strip", question: "In what order?" };
