/** What the stage is called, and the question it settles. */
export const words = { name: "Close", question: "May it be used again?" };
