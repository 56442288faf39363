import { Dialog, Heading, Modal, ModalOverlay } from "react-aria-components";
import styled from "styled-components";
import { Button, Key } from "../kit/Button";

interface Props {
  isOpen: boolean;
  onClose: () => void;
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
  max-width: 38rem;
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

export function KeyHelp({ isOpen, onClose, keys }: Props) {
  return (
    <Veil isOpen={isOpen} onOpenChange={onClose} isDismissable>
      <Modal>
        <Sheet>
          <Heading slot="title">Keys of this stage</Heading>
          <dl>
            {keys.map(([key, does]) => (
              <div key={key} style={{ display: "contents" }}>
                <dt>
                  <Key>{key}</Key>
                </dt>
                <dd>{does}</dd>
              </div>
            ))}
          </dl>
          <Button onPress={onClose}>Back to work</Button>
        </Sheet>
      </Modal>
    </Veil>
  );
}
