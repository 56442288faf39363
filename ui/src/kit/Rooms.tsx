import { createContext, useContext, useState } from "react";
import type { ReactNode } from "react";
import styled from "styled-components";
import { Button } from "./Button";
import { FoldingPanel } from "./FoldingPanel";
import { Sign } from "./Mark";
import { openRooms } from "./openRooms";
import type { RoomChoice } from "./openRooms";
import { useKept } from "./useKept";

interface Shown {
  isOpen: (id: string) => boolean;
  change: (id: string, open: boolean) => void;
}

const RoomsShown = createContext<Shown>({ isOpen: () => true, change: () => undefined });

const Column = styled.div`
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 0.35rem;
  align-content: start;
`;

interface RoomsProps {
  /** The room that is open until another one is opened. */
  start?: string | undefined;
  children: ReactNode;
}

/** What a stage has to show, one line each; one of them is open at a time, or all of them where that is wanted. */
export function Rooms({ start, children }: RoomsProps) {
  const [shows, setShows] = useKept("rooms", ["one", "all"]);
  const [chosen, setChosen] = useState<RoomChoice>();
  const at = openRooms(shows === "all", start, chosen);
  return (
    <RoomsShown.Provider
      value={{ isOpen: at, change: (id, open) => open !== at(id) && setChosen({ id, open, start }) }}
    >
      <Column>{children}</Column>
      <div>
        <Button onPress={() => setShows(shows === "all" ? "one" : "all")}>
          {shows === "all" ? "Show one part at a time" : "Show all parts"}
        </Button>
      </div>
    </RoomsShown.Provider>
  );
}

const Left = styled.b<{ $done: boolean }>`
  display: inline-flex;
  align-items: center;
  gap: 0.4rem;
  margin-left: auto;
  color: ${(p) => (p.$done ? p.theme.good : p.theme.warn)};
`;

const Said = styled.span`
  color: ${(p) => p.theme.quiet};
`;

interface RoomProps {
  id: string;
  title: string;
  /** What there is to know while it is folded. */
  said?: ReactNode;
  /** How much is left to do in it; nothing where nothing has to be done. */
  left?: number | undefined;
  children: ReactNode;
}

/** One part of a stage: a line with its name, its state and what is left; opened by a tap or Enter. */
export function Room({ id, title, said, left, children }: RoomProps) {
  const shown = useContext(RoomsShown);
  return (
    <FoldingPanel
      id={id}
      title={title}
      isFolded={!shown.isOpen(id)}
      onToggle={(open) => shown.change(id, open)}
      said={
        <>
          {said ? <Said>{said}</Said> : null}
          {left === undefined ? null : (
            <Left $done={left === 0}>
              <Sign kind={left === 0 ? "good" : "warn"} size={20} />
              {left === 0 ? "done" : `${left} to do`}
            </Left>
          )}
        </>
      }
    >
      {children}
    </FoldingPanel>
  );
}
