import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { answer, client } from "../server/client";
import { balanceQuery, circuitQuery } from "../server/queries";
import { useUnits } from "../server/useUnits";
import { Button } from "../kit/Button";
import { EntryField } from "../kit/EntryField";
import { figure } from "../kit/format";
import { Panel, Quiet, Row } from "../kit/layout";
import { Notice } from "../kit/Notice";
import { BarAndSides } from "./BarAndSides";
import { PairTable } from "./PairTable";
import { barSaid, lostSaid } from "./balanceSaid";

/** What the API takes. */
const LEAST = 10;
const MOST = 90;

/** Two circuits on one pedal: where the balance bar stands, where it has to stand, and which pair of cylinders suits. */
export function BalancePanel({ circuitId }: { circuitId: string }) {
  const circuit = useQuery(circuitQuery(circuitId)).data;
  return circuit?.figures.balance_bar ? <Bar circuitId={circuitId} /> : null;
}

function Bar({ circuitId }: { circuitId: string }) {
  const units = useUnits();
  const queryClient = useQueryClient();
  const [share, setShare] = useState<number>();
  const [typed, setTyped] = useState<string>();
  const { data, error } = useQuery({ ...balanceQuery(circuitId, share), retry: false });
  const write = useMutation({
    mutationFn: (frontPercent: number) =>
      answer(
        client.PUT("/circuits/{id}/balance", {
          params: { path: { id: circuitId } },
          body: { front_percent: frontPercent },
        }),
      ),
    onSuccess: () => {
      setShare(undefined);
      return queryClient.invalidateQueries({
        predicate: ({ queryKey }) => ["circuit", "machine"].includes(String(queryKey[0])),
      });
    },
  });
  const fault = write.error ?? error;
  const tryShare = (text: string) => {
    const percent = Number(text.replace(",", "."));
    setTyped(percent >= LEAST && percent <= MOST ? undefined : `A share from ${LEAST} to ${MOST} %.`);
    if (percent >= LEAST && percent <= MOST) setShare(percent);
  };
  const stands = data && Math.round(data.share_percent * 10) / 10;
  return (
    <Panel aria-label="Balance bar">
      <h2>Balance bar</h2>
      {fault ? (
        <Notice tone="warn" live>
          {fault.message}
        </Notice>
      ) : null}
      {data && stands !== undefined ? (
        <>
          {data.recorded.agree ? null : (
            <Notice tone="warn">
              {`The records give ${figure(data.recorded.front_percent, 0)} % to the front and ${figure(data.recorded.rear_percent, 0)} % to the rear: together they must be 100 %. Write the right share into both.`}
            </Notice>
          )}
          <Quiet>
            {`Wanted: ${figure(data.wanted.deceleration_m_s2, 1)} m/s², ${figure(data.wanted.front_percent, 0)} % of it by the front, from the target of each circuit. Defaults are not a specification.`}
          </Quiet>
          {data.now ? <BarAndSides balance={data} point={data.now} /> : null}
          <strong>{barSaid(data)}</strong>
          <Row $gap={1}>
            <EntryField
              key={stands}
              label="Push to the front"
              unit="%"
              inputMode="decimal"
              value={String(stands)}
              error={typed}
              onFinish={tryShare}
            />
            <Button onPress={() => setShare(Math.round(data.best.share_percent * 10) / 10)}>
              {`Try ${figure(data.best.share_percent, 1)} %`}
            </Button>
            <Button onPress={() => write.mutate(stands)} isDisabled={write.isPending}>
              {`Write ${figure(stands, 1)} % into both records`}
            </Button>
          </Row>
          {data.now ? (
            <Quiet>
              {`Pedal ${figure(data.now.force_n, 0)} N, travel ${units.say("length", data.now.travel_mm, 1)} of ${units.say("length", data.now.available_travel_mm, 0)}. ${lostSaid(data, (mm) => units.say("length", mm, 0))}`}
            </Quiet>
          ) : (
            <Notice tone="warn">No foot gives that deceleration with the bar there.</Notice>
          )}
          <PairTable pairs={data.pairs} />
        </>
      ) : null}
    </Panel>
  );
}
