import { useQuery } from "@tanstack/react-query";
import { useEffect, useState } from "react";
import { Picker } from "../kit/Picker";
import { peopleWho } from "../pieces/PersonField";
import { shopQuery } from "../server/queries";
import { setWorker, worker } from "../server/worker";

/** Who works at this screen; nothing to pick while the shop has named nobody. */
export function Worker() {
  const shop = useQuery(shopQuery).data;
  const [picked, setPicked] = useState(worker);
  const names = peopleWho(shop, undefined);
  const name = names.find((each) => each === picked);
  const isGone = shop !== undefined && name === undefined;
  // somebody who is not on the list any more enters nothing
  useEffect(() => {
    if (isGone) setWorker(undefined);
  }, [isGone]);
  if (names.length === 0) return null;
  return (
    <Picker
      label="Who works here"
      isLabelHidden
      placeholder="Who works here?"
      options={names.map((each) => ({ id: each, label: each }))}
      value={name ?? ""}
      onChange={(next) => {
        setWorker(next);
        setPicked(next);
      }}
    />
  );
}
