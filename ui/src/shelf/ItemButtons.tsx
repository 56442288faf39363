import type { ShelfItem } from "../server/api";
import { Button } from "../kit/Button";
import { ReasonButton } from "../kit/ReasonButton";

interface Props {
  item: ShelfItem;
  shows: boolean;
  onShow: (shows: boolean) => void;
  onDiscard: (reason: string) => void;
}

/** What can be done with anything on the shelf: throw it away for a reason, look at its record. */
export function ItemButtons({ item, shows, onShow, onDiscard }: Props) {
  return (
    <>
      <ReasonButton button="Throw away" label="Thrown away because" onReason={onDiscard} />
      <Button aria-label={`Record of ${item.name}`} onPress={() => onShow(!shows)}>
        {shows ? "Close" : "Record"}
      </Button>
    </>
  );
}
