/** What the stage is called, and the question it settles. */
export const words = { name: "Fit", question: "On the machine right?" };
