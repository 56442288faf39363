/** What the stage is called, and the question it settles. */
export const words = { name: "Measure", question: "Reuse or renew?" };
