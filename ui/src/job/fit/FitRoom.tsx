import type { ReactNode } from "react";
import { Room } from "../../kit/Rooms";
import type { Fit } from "../../server/api";

interface Props {
  fit: Fit;
  id: string;
  title: string;
  children: ReactNode;
}

/** One kind of work of the fitting, with how much of it is left in the phase at hand. */
export function FitRoom({ fit, id, title, children }: Props) {
  const item = fit.still_to_do.find((each) => each.id === id);
  return (
    <Room id={id} title={title} left={item?.left}>
      {children}
    </Room>
  );
}
