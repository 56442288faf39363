import { useState } from "react";
import styled from "styled-components";
import { useUnits } from "../../server/useUnits";
import type { Control, Feel, Verdict } from "../../server/api";
import { Button } from "../../kit/Button";
import { EntryField } from "../../kit/EntryField";
import { figure } from "../../kit/format";
import { Big, Panel, Quiet } from "../../kit/layout";
import { Table } from "../../kit/Table";
import { Sign } from "../../kit/Mark";
import type { MarkKind } from "../../kit/Mark";
import { Notice } from "../../kit/Notice";

interface Props {
  feel: Feel;
  onAccept: ((reason: string) => void) | undefined;
}

const WORDS: Record<Verdict["verdict"], [MarkKind, string]> = {
  pass: ["good", "Pass"],
  marginal: ["warn", "Marginal"],
  bleed_again: ["stop", "Bleed again"],
  cant_tell: ["warn", "Can't tell"],
};

const Word = styled.p<{ $kind: MarkKind }>`
  font-size: 2.6rem;
  line-height: 1.05;
  font-weight: 800;
  letter-spacing: -0.02em;
  color: ${(p) => (p.$kind === "quiet" ? p.theme.quiet : p.theme[p.$kind])};
`;

export function VerdictPanel({ feel, onAccept }: Props) {
  const id = feel.verdict_id;
  const said = feel.lift ?? feel.verdict;
  if (feel.by_hand) {
    return (
      <Panel>
        <h2>Verdict</h2>
        <Word $kind="good">
          <Sign kind="good" size={32} /> Passed by hand
        </Word>
        <p>{feel.clutch ? "It separates, and bites where it should." : feel.hand?.springiness?.why}</p>
      </Panel>
    );
  }
  if (!id || !said) {
    return (
      <Panel>
        <h2>Verdict</h2>
        <Word $kind="quiet">Not yet</Word>
        <Quiet>
          {feel.clutch ? "Try it in gear, and where it bites." : `Readings: ${feel.wanted ?? ""}.`}
        </Quiet>
      </Panel>
    );
  }
  const [kind, word] = WORDS[id];
  return (
    <Panel>
      <div role="status">
        <h2>Verdict</h2>
        <Word $kind={kind}>
          <Sign kind={kind} size={32} /> {word}
        </Word>
        <p>{said.why}</p>
      </div>
      {feel.verdict && !feel.clutch ? <AirFigures verdict={feel.verdict} control={feel.control} /> : null}
      {id === "marginal" && !feel.passed && onAccept ? <Accepting onAccept={onAccept} /> : null}
      {feel.accepted ? <Notice tone="warn">Accepted as marginal: {feel.accepted}</Notice> : null}
    </Panel>
  );
}

/** Errors under this are shown to a thousandth. */
const FINE_ML = 0.02;

interface AirProps {
  verdict: Verdict;
  control: Control;
}

function AirFigures({ verdict, control }: AirProps) {
  const units = useUnits();
  // a bicycle's whole margin is hundredths of a millilitre
  const decimals = (verdict.air_error_ml ?? 0) < FINE_ML ? 3 : 2;
  return (
    <>
      <div>
        <Big>
          {units.bare("volume", verdict.air_ml, decimals)}{" "}
          <small>
            {units.bare("volume", verdict.air_low_ml ?? 0, decimals)} to{" "}
            {units.say("volume", verdict.air_high_ml ?? 0, decimals)}
          </small>
        </Big>
        <Quiet>trapped air, and what 95 % lies within</Quiet>
      </div>
      {verdict.soft_says ? <Notice tone="warn">{verdict.soft_says}</Notice> : null}
      <Table aria-label="What the readings say">
        <tbody>
          <tr>
            <td>{control.label} travel lost to air</td>
            <td>
              {units.bare("length", verdict.cost_mm, 1)} ±{" "}
              {units.say("length", verdict.cost_error_mm ?? 0, 1)}
            </td>
          </tr>
          <tr>
            <td>Pass below, bleed again above</td>
            <td>
              {units.bare("length", verdict.pass_mm, 2)}, {units.say("length", verdict.again_mm, 2)}
            </td>
          </tr>
          <tr>
            <td>Stiffness, expected</td>
            <td>
              {figure(verdict.stiffness_ml_mpa, 3)}, {figure(verdict.expected_stiffness_ml_mpa, 3)} mL/MPa
            </td>
          </tr>
          <tr>
            <td>Dead volume</td>
            <td>{units.say("volume", verdict.dead_volume_ml, 2)}</td>
          </tr>
        </tbody>
      </Table>
    </>
  );
}

function Accepting({ onAccept }: { onAccept: (reason: string) => void }) {
  const [reason, setReason] = useState("");
  return (
    <>
      <EntryField label="Accept it as marginal, because" value={reason} onFinish={setReason} />
      <Button isDisabled={reason.trim() === ""} onPress={() => onAccept(reason)}>
        Accept with this reason
      </Button>
    </>
  );
}
