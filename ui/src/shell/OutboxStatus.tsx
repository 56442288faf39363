import { Mark } from "../kit/Mark";
import { useOutboxState } from "../server/useOutbox";

/** Whether what was entered has arrived. Quiet while all is well. */
export function OutboxStatus() {
  const { waiting, apart, reachable, heldUpBy } = useOutboxState();
  return (
    <div role="status">
      {!reachable ? (
        <Mark kind="warn">{`Offline: ${waiting.length} entries saved on this device`}</Mark>
      ) : heldUpBy !== undefined && waiting.length > 0 ? (
        <Mark kind="warn">{`${waiting.length} kept here: ${heldUpBy}`}</Mark>
      ) : apart.length > 0 ? (
        <Mark kind="warn">{`${apart.length} not recorded`}</Mark>
      ) : waiting.length > 2 ? (
        <Mark kind="quiet">{`${waiting.length} on the way`}</Mark>
      ) : null}
    </div>
  );
}
