import { useQuery } from "@tanstack/react-query";
import styled from "styled-components";
import type { Knowledge, MatrixRow } from "../../server/api";
import { knowledgeQuery } from "../../server/queries";
import { FoldingPanel } from "../../kit/FoldingPanel";
import { Quiet } from "../../kit/layout";
import { Table } from "../../kit/Table";
import { Sign } from "../../kit/Mark";
import type { MarkKind } from "../../kit/Mark";

interface Props {
  family: string | undefined;
  /** Rubber of the kit in hand. */
  materials: string[];
}

const FAMILIES = ["glycol", "silicone", "mineral"] as const;
const SIGNS: Record<string, MarkKind> = { go: "good", place: "quiet", ask: "warn", block: "stop" };

const Cell = styled.td<{ $lit: boolean; $kind: MarkKind }>`
  && {
    text-align: left;
    white-space: normal;
    ${(p) => (p.$lit ? `outline: 3px solid ${p.theme.focus}; outline-offset: -3px; font-weight: 700;` : "")}
  }
  span {
    display: inline-flex;
    align-items: center;
    gap: 0.45rem;
  }
  svg {
    flex: none;
    color: ${(p) => (p.$kind === "quiet" ? p.theme.quiet : p.theme[p.$kind])};
  }
`;

/** Seal × fluid and lubricant × fluid; the cells that apply to this circuit and this kit are outlined. */
export function MatrixPanel({ family, materials }: Props) {
  const { data } = useQuery(knowledgeQuery);
  if (!data) return null;
  return (
    <FoldingPanel title="Seal, fluid and grease" said="What goes with what" isFolded>
      <Quiet>
        {family
          ? `Outlined: ${family} fluid${materials.length > 0 ? ` with ${materials.join(" and ")}` : ""}.`
          : "Read the cap to see which column applies."}
      </Quiet>
      <Matrix
        name="Seals"
        rows={data.seals}
        words={data.compatibility_words}
        isLit={(row, column) => column === family && materials.includes(row.id)}
      />
      <details>
        <summary>Lubricants</summary>
        <Matrix
          name="Lubricants"
          rows={data.lubricants}
          words={data.compatibility_words}
          isLit={(_, column) => column === family}
        />
      </details>
      <details>
        <summary>Cleaners</summary>
        <Cleaners rows={data.cleaners} />
      </details>
    </FoldingPanel>
  );
}

const CLEANER_WORDS = { ok: "suited", brief: "only briefly", never: "never" } as const;
const CLEANER_SIGNS = { ok: "good", brief: "warn", never: "stop" } as const;

/** What parts are cleaned with: on rubber, on metal, and how long it dries. */
function Cleaners({ rows }: { rows: Knowledge["cleaners"] }) {
  return (
    <Table aria-label="Cleaners">
      <thead>
        <tr>
          <th scope="col">Cleaner</th>
          <th scope="col" className="words">
            On rubber
          </th>
          <th scope="col" className="words">
            On metal
          </th>
          <th scope="col">Dries</th>
        </tr>
      </thead>
      <tbody>
        {rows.map((row) => (
          <tr key={row.id}>
            <th scope="row">
              {row.label}
              <Quiet as="small">{row.where}</Quiet>
            </th>
            {([row.rubber, row.metal] as const).map((word, column) => (
              <Cell key={column} $lit={false} $kind={CLEANER_SIGNS[word]}>
                <span>
                  <Sign kind={CLEANER_SIGNS[word]} />
                  {CLEANER_WORDS[word]}
                </span>
              </Cell>
            ))}
            <td>{row.dry_s ? `${row.dry_s} s` : "–"}</td>
          </tr>
        ))}
      </tbody>
    </Table>
  );
}

interface MatrixProps {
  name: string;
  rows: MatrixRow[];
  words: Knowledge["compatibility_words"];
  isLit: (row: MatrixRow, family: string) => boolean;
}

function Matrix({ name, rows, words, isLit }: MatrixProps) {
  return (
    <Table aria-label={name}>
      <thead>
        <tr>
          <th scope="col">{name}</th>
          {FAMILIES.map((family) => (
            <th key={family} scope="col" className="words">
              {family}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {rows.map((row) => (
          <tr key={row.id}>
            <th scope="row">
              {row.label}
              <Quiet as="small">{row.found_in ?? row.where}</Quiet>
            </th>
            {FAMILIES.map((family) => {
              const word = words.find((each) => each.id === row[family]);
              const kind = SIGNS[word?.does ?? "ask"] ?? "warn";
              return (
                <Cell key={family} $lit={isLit(row, family)} $kind={kind}>
                  <span>
                    <Sign kind={kind} />
                    {word?.label}
                  </span>
                </Cell>
              );
            })}
          </tr>
        ))}
      </tbody>
    </Table>
  );
}
