/** What the stage is called, and the question it settles. */
export const words = { name: "Choose", question: "Which cylinder, which fluid, how much?" };
