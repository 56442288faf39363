import type { PartView, Sheet } from "../server/api";
import { Button } from "../kit/Button";
import { EntryField } from "../kit/EntryField";
import { Row } from "../kit/layout";
import { addBranch, removeEnd, rename } from "./structure";

/** What feeds the first lines of a circuit, whatever the master is called. */
const ROOT = "master";

interface Props {
  sheet: Sheet;
  part: PartView;
  onReplace: (sheet: Sheet) => void;
}

/** Changes to the tree at one part: its name, a further caliper, taking one away. */
export function PartStructure({ sheet, part, onReplace }: Props) {
  const isEnd = part.part === "caliper" || part.part === "slave";
  const isBrake = sheet.parts.some((each) => each.part === "caliper");
  const calipers = sheet.parts.filter((each) => each.part === "caliper").length;
  return (
    <>
      {isEnd || part.part === "line" ? (
        <EntryField
          key={part.label ?? ""}
          label="Name"
          value={part.label ?? ""}
          onFinish={(label) => onReplace(rename(sheet, part.id, label))}
        />
      ) : null}
      <Row $gap={1}>
        {isBrake && part.part === "master" ? (
          <Button onPress={() => onReplace(addBranch(sheet, ROOT))}>Add a hose and caliper here</Button>
        ) : null}
        {isBrake && part.part === "line" ? (
          <Button onPress={() => onReplace(addBranch(sheet, part.id))}>
            Split this hose to a further caliper
          </Button>
        ) : null}
        {part.part === "caliper" && calipers > 1 ? (
          <Button tone="stop" onPress={() => onReplace(removeEnd(sheet, part.id))}>
            Remove this caliper and its hose
          </Button>
        ) : null}
      </Row>
    </>
  );
}
