import { Input, Label, SearchField as AriaSearchField } from "react-aria-components";
import styled from "styled-components";
import { InputBox } from "./EntryField";

interface Props {
  label: string;
  value: string;
  onChange: (text: string) => void;
  /** The cursor is in it from the start. */
  hasCursor?: boolean;
}

const Frame = styled(AriaSearchField)`
  display: grid;
  gap: 0.25rem;
  max-width: 30rem;
  label {
    font-weight: 600;
  }
  input::-webkit-search-cancel-button {
    display: none;
  }
`;

/** Words to find something by; the list beneath follows each letter, Escape empties it. */
export function SearchField({ label, value, onChange, hasCursor = false }: Props) {
  return (
    <Frame value={value} onChange={onChange} autoFocus={hasCursor}>
      <Label>{label}</Label>
      <InputBox $words>
        <Input autoComplete="off" />
      </InputBox>
    </Frame>
  );
}
