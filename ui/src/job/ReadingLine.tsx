import { Form } from "react-aria-components";
import styled from "styled-components";

/** A field and its button on one line, for a gauge that types digits and Enter. */
export const ReadingLine = styled(Form)`
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  gap: 0.8rem;
  align-items: end;
  label {
    font-weight: 650;
  }
`;
