import type { Feel } from "../../server/api";
import { EntryField } from "../../kit/EntryField";
import { size } from "../../kit/format";
import { Quiet } from "../../kit/layout";
import { Room } from "../../kit/Rooms";

interface Props {
  feel: Feel;
  isOpen: boolean;
  onMeasure: (force: string) => void;
}

/** What the readings cannot see by themselves: the return spring. Measured, it is doubted no more. */
export function PreloadTest({ feel, isOpen, onMeasure }: Props) {
  return (
    <Room id="spring" title="Return spring">
      <Quiet>
        {feel.preload_known
          ? "Measured; used in the verdict."
          : "Not measured: the verdict carries it as doubt. Hang a spring scale on the finger point and read the pull at which the piston first moves."}
      </Quiet>
      {isOpen ? (
        <EntryField
          key={feel.preload_n ?? "none"}
          label="The piston first moves at"
          name="preload"
          unit="N"
          inputMode="decimal"
          value={feel.preload_n === undefined ? "" : size(feel.preload_n)}
          onFinish={onMeasure}
        />
      ) : null}
    </Room>
  );
}
