export { AskStage as Room } from "./AskStage";
