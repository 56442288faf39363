export { ChooseStage as Room } from "./ChooseStage";
