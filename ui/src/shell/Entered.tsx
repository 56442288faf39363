import type { ComponentType } from "react";
import { useParams } from "react-router";
import type { Ask } from "./ahead";

/** A room: what it asks first is asked while its code is still on the way. */
export function Entered({ Page, ask }: { Page: ComponentType; ask?: Ask }) {
  const params = useParams();
  ask?.(params);
  return <Page />;
}
