export { FeelStage as Room } from "./FeelStage";
