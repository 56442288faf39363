import { useState } from "react";
import styled from "styled-components";
import { Checkbox } from "react-aria-components";
import type { Bleed, Job } from "../../server/api";
import { useUnits } from "../../server/useUnits";
import { Button } from "../../kit/Button";
import { EntryField } from "../../kit/EntryField";
import { useEntries } from "../useEntries";

interface Props {
  job: Job;
  bleed: Bleed;
}

const Line = styled.div`
  display: flex;
  flex-wrap: wrap;
  gap: 0.8rem;
  align-items: end;
  > div {
    flex: 1 1 9rem;
    max-width: 14rem;
  }
`;

const Tick = styled(Checkbox)`
  display: inline-flex;
  align-items: center;
  gap: 0.6rem;
  min-height: 3rem;
  cursor: pointer;
  &::before {
    content: "";
    width: 1.6rem;
    height: 1.6rem;
    border: 2px solid ${(p) => p.theme.ink};
    border-radius: 0.3rem;
  }
  &[data-selected]::before {
    background: ${(p) => p.theme.act};
    box-shadow: inset 0 0 0 3px ${(p) => p.theme.panel};
  }
`;

/** What went through, read off the jar or the syringe. */
export function RunEntry({ job, bleed }: Props) {
  const units = useUnits();
  const { add } = useEntries(job, "bleed");
  const [ml, setMl] = useState<string>();
  const [out, setOut] = useState<string>();
  const [isPoured, setPoured] = useState(false);
  const [turn, setTurn] = useState(0);
  const write = () => {
    if (ml === undefined) return;
    add("run", { ml, ...(out === undefined ? {} : { out }), ...(isPoured ? { poured: true } : {}) });
    setMl(undefined);
    setOut(undefined);
    setPoured(false);
    setTurn(turn + 1);
  };
  const read = (text: string) => units.typed("volume", text);
  const isFromReservoir = bleed.method.supply === "reservoir";
  return (
    <Line key={turn}>
      <div>
        <EntryField
          label={bleed.method.both ? "Pushed in below" : isFromReservoir ? "Ran into the jar" : "Pushed in"}
          name="run"
          unit={units.unit("volume")}
          inputMode="decimal"
          value=""
          onFinish={(text) => setMl(read(text))}
        />
      </div>
      {bleed.method.both ? (
        <div>
          <EntryField
            label="Came out above"
            name="out"
            unit={units.unit("volume")}
            inputMode="decimal"
            value=""
            onFinish={(text) => setOut(read(text))}
          />
        </div>
      ) : null}
      {isFromReservoir ? (
        <Tick isSelected={isPoured} onChange={setPoured}>
          Poured in while it ran
        </Tick>
      ) : null}
      <Button tone="act" isDisabled={ml === undefined || bleed.reservoir.spent} onPress={write}>
        Count it
      </Button>
    </Line>
  );
}
