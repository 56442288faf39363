import { ToggleButton } from "react-aria-components";
import styled from "styled-components";
import type { Knowledge } from "../server/api";
import { Picker } from "../kit/Picker";

export type Contents = Record<string, { material?: string }>;

interface Props {
  knowledge: Knowledge;
  contents: Contents;
  onChange: (contents: Contents) => void;
}

const UNMARKED = { id: "unmarked", label: "rubber not marked" };

const List = styled.ul`
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(19rem, 1fr));
  gap: 0.5rem 1.2rem;
  li {
    display: grid;
    grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
    gap: 0.5rem;
  }
`;

const Toggle = styled(ToggleButton)`
  min-height: 3rem;
  padding: 0.3rem 0.8rem;
  border-radius: 0.5rem;
  border: 2px solid ${(p) => p.theme.line};
  background: ${(p) => p.theme.panel};
  text-align: left;
  cursor: pointer;
  &[data-selected] {
    border-color: ${(p) => p.theme.act};
    background: ${(p) => p.theme.actSoft};
    font-weight: 650;
    box-shadow: inset 0 -4px 0 ${(p) => p.theme.act};
  }
`;

/** What the kit holds: read off the bag, the rubber of each seal beside it. */
export function KitContentsField({ knowledge, contents, onChange }: Props) {
  const set = (id: string, line: Contents[string] | undefined) => {
    const others = Object.fromEntries(Object.entries(contents).filter(([each]) => each !== id));
    onChange(line ? { ...others, [id]: line } : others);
  };
  return (
    <>
      <h3>What it holds</h3>
      <List>
        {knowledge.kit_items.map((item) => (
          <li key={item.id}>
            <Toggle isSelected={item.id in contents} onChange={(isIn) => set(item.id, isIn ? {} : undefined)}>
              {item.label}
            </Toggle>
            {item.rubber && item.id in contents ? (
              <Picker
                label={`Rubber of ${item.label}`}
                isLabelHidden
                options={[UNMARKED, ...knowledge.seals]}
                value={contents[item.id]?.material ?? UNMARKED.id}
                onChange={(material) => set(item.id, material === UNMARKED.id ? {} : { material })}
              />
            ) : null}
          </li>
        ))}
      </List>
    </>
  );
}
