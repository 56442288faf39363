/** The page twin of each stage, fetched when it is looked at. */
export const stageRooms = {
  ask: async () => (await import("./ask/AskStage")).AskStage,
  choose: async () => (await import("./choose/ChooseStage")).ChooseStage,
  strip: async () => (await import("./strip/StripStage")).StripStage,
  measure: async () => (await import("./measure/MeasureStage")).MeasureStage,
  build: async () => (await import("./build/BuildStage")).BuildStage,
  fit: async () => (await import("./fit/FitStage")).FitStage,
  bleed: async () => (await import("./bleed/BleedStage")).BleedStage,
  feel: async () => (await import("./feel/FeelStage")).FeelStage,
  close: async () => (await import("./close/CloseStage")).CloseStage,
};
