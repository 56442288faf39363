export { CloseStage as Room } from "./CloseStage";
