import type { Shop, ShopSettings } from "../server/api";
import { Choice } from "../kit/Choice";
import { Quiet } from "../kit/layout";

interface Props {
  shop: Shop;
  onChange: (changed: ShopSettings) => void;
}

/** Where good mechanics differ over bleeding: what this shop holds with, and what is settled for everybody. */
export function Schools({ shop, onChange }: Props) {
  const settled = shop.schools_open.filter((school) => !school.answers);
  return (
    <>
      <h2>Bleeding</h2>
      <Quiet>Good mechanics differ here. Your preferences move a bleeding method up or down the list.</Quiet>
      {shop.schools_open.map((school) =>
        school.answers ? (
          <Choice
            key={school.id}
            label={school.label}
            hint={school.why}
            options={Object.entries(school.answers).map(([id, label]) => ({ id, label }))}
            value={shop.schools[school.id]}
            onChange={(answer) => onChange({ schools: { ...shop.schools, [school.id]: answer } })}
          />
        ) : null,
      )}
      <details>
        <summary>Settled, no choice</summary>
        <dl>
          {settled.map((school) => (
            <div key={school.id}>
              <dt>
                <strong>{school.label}</strong>
              </dt>
              <dd>{school.why}</dd>
            </div>
          ))}
        </dl>
      </details>
    </>
  );
}
