export { BuildStage as Room } from "./BuildStage";
