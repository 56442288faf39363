import { Button } from "./Button";

interface Props {
  /** Fetches the next page of a list; absent at its end. */
  onMore: (() => void) | undefined;
  children: string;
}

/** The way to the rest of a list, where there is a rest. */
export function MoreButton({ onMore, children }: Props) {
  return onMore ? (
    <div>
      <Button onPress={onMore}>{children}</Button>
    </div>
  ) : null;
}
