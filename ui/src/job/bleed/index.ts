export { BleedStage as Room } from "./BleedStage";
