import { TradeText } from "../pieces/TradeText";
import styled from "styled-components";

const Box = styled.footer`
  border-top: 1px solid ${(p) => p.theme.line};
  padding-top: 0.7rem;
  color: ${(p) => p.theme.quiet};
  font-size: 0.98rem;
  display: grid;
  gap: 0.15rem;
`;

/** The cautions of a stage, as the shop's own reminder. */
export function Cautions({ cautions }: { cautions: string[] }) {
  return (
    <Box>
      {cautions.map((caution) => (
        <p key={caution}>
          <TradeText>{caution}</TradeText>
        </p>
      ))}
      <p>The machine's service information and local rules come first.</p>
    </Box>
  );
}
