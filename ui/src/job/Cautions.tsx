import { useQuery } from "@tanstack/react-query";
import styled from "styled-components";
import type { Stage } from "../app/api";
import { knowledgeQuery } from "../app/queries";

const Box = styled.footer`
  border-top: 1px solid ${(p) => p.theme.line};
  padding-top: 0.7rem;
  color: ${(p) => p.theme.quiet};
  font-size: 0.98rem;
  display: grid;
  gap: 0.15rem;
`;

/** The cautions of a stage, as the shop's own reminder. */
export function Cautions({ stage, leave = [] }: { stage: Stage; leave?: string[] }) {
  const { data } = useQuery(knowledgeQuery);
  const cautions =
    data?.cautions.filter((each) => each.stages.includes(stage) && !leave.includes(each.id)) ?? [];
  return (
    <Box>
      {cautions.map((caution) => (
        <p key={caution.id}>{caution.text}</p>
      ))}
      <p>The machine's service information and local rules come first.</p>
    </Box>
  );
}
