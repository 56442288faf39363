export { StripStage as Room } from "./StripStage";
