/** What the stage is called, and the question it settles. */
export const words = { name: "Build", question: "The right way round?" };
