export { MeasureStage as Room } from "./MeasureStage";
