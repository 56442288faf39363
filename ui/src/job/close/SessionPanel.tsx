import { useState } from "react";
import { Button } from "../../kit/Button";
import { Choice } from "../../kit/Choice";
import { EntryField } from "../../kit/EntryField";
import { Notice } from "../../kit/Notice";
import { Quiet, Row } from "../../kit/layout";
import { Room } from "../../kit/Rooms";
import type { Close } from "../../server/api";
import { Fault } from "./Fault";

interface Session {
  minutes?: string;
  celsius?: string;
  felt: "same" | "softer";
}

interface Props {
  sessions: NonNullable<Close["sessions"]>;
  isOpen: boolean;
  onSession: (session: Session) => void;
}

/** What the machine did since fluid last moved, session by session: how long, how hot, and how its control feels. */
export function SessionPanel({ sessions, isOpen, onSession }: Props) {
  const { items, minutes, fault, hot } = sessions;
  return (
    <Room
      id="sessions"
      title="Sessions"
      said={items.length > 0 ? `${items.length} driven, ${minutes} min` : "none yet"}
    >
      <Fault of={fault} />
      {hot ? <Notice tone="warn">{hot}</Notice> : null}
      <ol aria-label="Sessions">
        {items.map((session, at) => (
          <li key={at}>{`${at + 1}. ${session.says}`}</li>
        ))}
      </ol>
      {isOpen ? <NewSession key={items.length} noun={sessions.noun} onSession={onSession} /> : null}
      {sessions.boils_c === undefined ? null : (
        <Quiet>{`The fluid in it may boil from ${Math.round(sessions.boils_c)} °C on.`}</Quiet>
      )}
    </Room>
  );
}

function NewSession({ noun, onSession }: { noun: string; onSession: Props["onSession"] }) {
  const [minutes, setMinutes] = useState("");
  const [celsius, setCelsius] = useState("");
  const [felt, setFelt] = useState<string>("same");
  return (
    <>
      <Row style={{ alignItems: "end" }}>
        <EntryField
          label="Session"
          name="minutes"
          unit="min"
          inputMode="decimal"
          value=""
          onFinish={setMinutes}
        />
        <EntryField
          label="Hottest at the caliper"
          name="celsius"
          unit="°C"
          inputMode="decimal"
          value=""
          onFinish={setCelsius}
        />
        <Choice
          label={`The ${noun} afterwards`}
          options={[
            { id: "same", label: "As before" },
            { id: "softer", label: "Softer or longer" },
          ]}
          value={felt}
          onChange={setFelt}
        />
      </Row>
      <Row>
        <Button
          onPress={() =>
            onSession({
              ...(minutes ? { minutes } : {}),
              ...(celsius ? { celsius } : {}),
              felt: felt === "softer" ? "softer" : "same",
            })
          }
        >
          Record the session
        </Button>
      </Row>
    </>
  );
}
