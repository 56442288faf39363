import { useUnits } from "../../server/useUnits";
import type { Feel } from "../../server/api";
import { Button } from "../../kit/Button";
import { figure } from "../../kit/format";
import { Row } from "../../kit/layout";
import { Table } from "../../kit/Table";
import { Mark } from "../../kit/Mark";

interface Props {
  readings: Feel["readings"];
  isOpen: boolean;
  onSetAside: (id: string) => void;
  onUndo: (id: string) => void;
}

export function ReadingList({ readings, isOpen, onSetAside, onUndo }: Props) {
  const units = useUnits();
  if (readings.length === 0) return null;
  const pulls = [...new Set(readings.flatMap((reading) => reading.pull ?? []))];
  const sorted = [...readings].sort((a, b) => a.force_n - b.force_n);
  return (
    <>
      {isOpen
        ? pulls.map((pull, at) => (
            <div key={pull}>
              <Button onPress={() => onUndo(pull)}>{`Remove the gauge's pull ${at + 1}`}</Button>
            </div>
          ))
        : null}
      <Table aria-label="Readings">
        <thead>
          <tr>
            <th scope="col">Force</th>
            <th scope="col">Travel</th>
            <th scope="col">Off the curve</th>
            <th scope="col" className="words">
              Note
            </th>
          </tr>
        </thead>
        <tbody>
          {sorted.map((reading) => (
            <tr key={reading.id}>
              <td>{figure(reading.force_n, 1)} N</td>
              <td>{units.say("length", reading.travel_mm, 1)}</td>
              <td>{reading.residual_mm === undefined ? "" : units.say("length", reading.residual_mm, 2)}</td>
              <td className="words">
                <Row $gap={1}>
                  {reading.set_aside ? <Mark kind="quiet">set aside</Mark> : null}
                  {reading.too_light ? <Mark kind="warn">lighter than the return spring</Mark> : null}
                  {reading.outlier ? <Mark kind="stop">far off the curve</Mark> : null}
                  {isOpen && (reading.outlier || reading.pull) && !reading.set_aside ? (
                    <Button
                      onPress={() => onSetAside(reading.id)}
                    >{`Set aside ${figure(reading.force_n, 0)} N`}</Button>
                  ) : null}
                  {isOpen && !reading.pull ? (
                    <Button
                      onPress={() => onUndo(reading.id)}
                    >{`Remove ${figure(reading.force_n, 0)} N`}</Button>
                  ) : null}
                </Row>
              </td>
            </tr>
          ))}
        </tbody>
      </Table>
    </>
  );
}
