/** What the stage is called, and the question it settles. */
export const words = { name: "Ask", question: "What is wrong, and which repair?" };
