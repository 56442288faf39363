export { FitStage as Room } from "./FitStage";
