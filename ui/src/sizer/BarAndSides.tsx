import styled from "styled-components";
import { BalanceBarDrawing } from "../drawings/BalanceBarDrawing";
import { figure } from "../kit/format";
import { Big, Quiet } from "../kit/layout";
import type { Balance, BalancePoint } from "../server/api";
import { useUnits } from "../server/useUnits";

const SideBySide = styled.div`
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(min(100%, 17rem), 1fr));
  gap: 1rem 2rem;
  align-items: center;
`;

/** As far apart as the two cylinders that they stand beside. */
const Sides = styled.div`
  display: grid;
  gap: 1.2rem;
`;

/** The bar as it stands, and what each end of it gives. */
export function BarAndSides({ balance, point }: { balance: Balance; point: BalancePoint }) {
  const units = useUnits();
  const fitted = balance.pairs.find((pair) => pair.fitted);
  const ends = [
    { end: balance.ends.front, side: point.front, bore: fitted?.front_bore_mm },
    { end: balance.ends.rear, side: point.rear, bore: fitted?.rear_bore_mm },
  ];
  return (
    <SideBySide>
      <BalanceBarDrawing balance={balance} point={point} />
      <Sides>
        {ends.map(({ end, side, bore }) => (
          <div key={end.id}>
            <Quiet>{`${end.name}, bore ${units.size("length", bore ?? 0)} ${units.unit("length")}`}</Quiet>
            <Big $size="1.6rem">{units.say("pressure", side.pressure_mpa, 2)}</Big>
            <Quiet>{`${figure(side.brake_n, 0)} N at the road`}</Quiet>
          </div>
        ))}
      </Sides>
    </SideBySide>
  );
}
