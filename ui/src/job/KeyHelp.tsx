import { Fragment, useState } from "react";
import styled from "styled-components";
import { useHotkeys } from "../kit/useHotkeys";
import { Button, Key } from "../kit/Button";
import { Sheet } from "../kit/Sheet";
import { PHONE } from "../kit/tokens";
import { useMarkedWords } from "../pieces/TradeText";

interface Props {
  keys: [key: string, does: string][];
}

const Rows = styled.dl`
  display: grid;
  grid-template-columns: auto 1fr;
  gap: 0.6rem 1.2rem;
`;

/** A phone has no keys. */
const Place = styled.div`
  @media ${PHONE} {
    display: none;
  }
`;

/** The keys of a stage and what the words on its page mean, opened with ? or its button. */
export function KeyHelp({ keys }: Props) {
  const [isOpen, setOpen] = useState(false);
  const words = useMarkedWords(isOpen);
  useHotkeys({ "?": () => setOpen(true) });
  return (
    <Place>
      <Button hotkey="?" onPress={() => setOpen(true)}>
        Keys
      </Button>
      <Sheet title="Keyboard shortcuts" isOpen={isOpen} onClose={() => setOpen(false)}>
        <Rows>
          {[
            ...keys,
            ["V", "Bench view: the one thing to do now"] as const,
            ["/", "Look something up"] as const,
            ["?", "These keys, and the words on this page"] as const,
          ].map(([key, does]) => (
            <Fragment key={key}>
              <dt>
                <Key>{key}</Key>
              </dt>
              <dd>{does}</dd>
            </Fragment>
          ))}
        </Rows>
        {words.length > 0 ? (
          <>
            <h3>Words on this page</h3>
            <Rows>
              {words.map((word) => (
                <Fragment key={word.id}>
                  <dt>{word.label}</dt>
                  <dd>{word.says}</dd>
                </Fragment>
              ))}
            </Rows>
          </>
        ) : null}
        <Button onPress={() => setOpen(false)}>Back to work</Button>
      </Sheet>
    </Place>
  );
}
