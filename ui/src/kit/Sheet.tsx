import type { ReactNode } from "react";
import { Dialog, Heading, Modal, ModalOverlay } from "react-aria-components";
import styled from "styled-components";

const Veil = styled(ModalOverlay)`
  position: fixed;
  inset: 0;
  background: rgb(4 16 18 / 65%);
  display: grid;
  place-items: center;
  z-index: 3;
`;

const Panel = styled(Dialog)<{ $wide: boolean }>`
  display: grid;
  gap: ${(p) => (p.$wide ? "0.8rem" : "1rem")};
  justify-items: ${(p) => (p.$wide ? "center" : "stretch")};
  padding: ${(p) => (p.$wide ? "0.9rem 1.1rem" : "1.5rem 1.8rem")};
  max-width: ${(p) => (p.$wide ? "none" : "44rem")};
  max-height: calc(100vh - 3rem);
  overflow: auto;
  border-radius: 0.75rem;
  background: ${(p) => p.theme.panel};
  color: ${(p) => p.theme.ink};
  outline: none;
  h2 {
    font-size: ${(p) => (p.$wide ? "1.2rem" : "1.4rem")};
  }
`;

interface Props {
  title: string;
  isOpen: boolean;
  onClose: () => void;
  /** It shows one large thing, with little round it. */
  isWide?: boolean;
  children: ReactNode;
}

/** A sheet over the page, left by Escape, by a tap next to it, or by its own button. */
export function Sheet({ title, isOpen, onClose, isWide = false, children }: Props) {
  return (
    <Veil isOpen={isOpen} onOpenChange={(open) => (open ? undefined : onClose())} isDismissable>
      <Modal>
        <Panel $wide={isWide}>
          <Heading slot="title">{title}</Heading>
          {children}
        </Panel>
      </Modal>
    </Veil>
  );
}
