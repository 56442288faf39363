import { Dialog, Heading, Modal, ModalOverlay } from "react-aria-components";
import { Fragment, useState } from "react";
import styled from "styled-components";
import { useHotkeys } from "../kit/useHotkeys";
import { Button, Key } from "../kit/Button";
import { PHONE } from "../kit/tokens";
import { useMarkedWords } from "../pieces/TradeText";

interface Props {
  keys: [key: string, does: string][];
}

const Veil = styled(ModalOverlay)`
  position: fixed;
  inset: 0;
  background: rgb(4 16 18 / 55%);
  display: grid;
  place-items: center;
  z-index: 3;
`;

const Sheet = styled(Dialog)`
  background: ${(p) => p.theme.panel};
  color: ${(p) => p.theme.ink};
  border-radius: 0.75rem;
  padding: 1.5rem 1.8rem;
  max-width: 44rem;
  max-height: calc(100vh - 3rem);
  overflow: auto;
  display: grid;
  gap: 1rem;
  outline: none;
  h2 {
    font-size: 1.4rem;
  }
  dl {
    display: grid;
    grid-template-columns: auto 1fr;
    gap: 0.6rem 1.2rem;
  }
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
      <Veil isOpen={isOpen} onOpenChange={setOpen} isDismissable>
        <Modal>
          <Sheet>
            <Heading slot="title">Keyboard shortcuts</Heading>
            <dl>
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
            </dl>
            {words.length > 0 ? (
              <>
                <h3>Words on this page</h3>
                <dl>
                  {words.map((word) => (
                    <Fragment key={word.id}>
                      <dt>{word.label}</dt>
                      <dd>{word.says}</dd>
                    </Fragment>
                  ))}
                </dl>
              </>
            ) : null}
            <Button onPress={() => setOpen(false)}>Back to work</Button>
          </Sheet>
        </Modal>
      </Veil>
    </Place>
  );
}
