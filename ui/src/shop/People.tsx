import { useState } from "react";
import styled from "styled-components";
import { Button } from "../kit/Button";
import { EntryField } from "../kit/EntryField";
import { Quiet, Row } from "../kit/layout";
import { Picker } from "../kit/Picker";
import type { Shop, ShopSettings } from "../server/api";

const Names = styled.ul`
  display: grid;
  grid-template-columns: auto auto 1fr;
  gap: 0.6rem;
  align-items: center;
  li {
    display: grid;
    grid-template-columns: subgrid;
    grid-column: 1 / -1;
    align-items: center;
    justify-items: start;
  }
`;

const Adding = styled(Row)`
  align-items: end;
`;

interface Props {
  shop: Shop;
  error: string | undefined;
  onChange: (changed: ShopSettings) => void;
}

/** Who works here, and what each may say by name. */
export function People({ shop, error, onChange }: Props) {
  const [name, setName] = useState("");
  const roles = shop.roles.map(({ id, label }) => ({ id, label }));
  const [role, setRole] = useState(roles[0]?.id ?? "");
  const set = (people: Shop["people"]) => onChange({ people });
  return (
    <>
      <h2>People</h2>
      <Quiet>
        A lead lifts stops and answers for estimates. Leads and mechanics sign, and check as the second
        person. Once somebody is named here, names are picked, not typed.
      </Quiet>
      <Names aria-label="People">
        {shop.people.map((person) => (
          <li key={person.name}>
            <span>{person.name}</span>
            <Picker
              label={`Role of ${person.name}`}
              isLabelHidden
              options={roles}
              value={person.role}
              onChange={(changed) =>
                set(
                  shop.people.map((each) => (each.name === person.name ? { ...each, role: changed } : each)),
                )
              }
            />
            <Button
              aria-label={`Remove ${person.name}`}
              onPress={() => set(shop.people.filter((each) => each.name !== person.name))}
            >
              Remove
            </Button>
          </li>
        ))}
      </Names>
      <Adding>
        <EntryField key={shop.people.length} label="Name" value={name} error={error} onFinish={setName} />
        <Picker label="Role" options={roles} value={role} onChange={setRole} />
        <Button
          isDisabled={name.trim() === ""}
          onPress={() => {
            set([...shop.people, { name: name.trim(), role }]);
            setName("");
          }}
        >
          Add
        </Button>
      </Adding>
    </>
  );
}
