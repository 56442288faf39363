import { expect, test } from "vitest";
import type { Balance, BalancePoint } from "../server/api";
import { barSaid, lostSaid } from "./balanceSaid";

const side = { travel_if_lost_mm: 52, stops_if_lost: false };

function balance(turns: number, now?: object): Balance {
  return {
    ends: { front: { id: "f", name: "Front" }, rear: { id: "r", name: "Rear" } },
    wanted: { deceleration_m_s2: 8, front_percent: 62.5 },
    best: { share_percent: 57, turns, point: {} as BalancePoint },
    ...(now ? { now } : {}),
  } as Balance;
}

test("the bar is turned towards the end that gives too little", () => {
  const now = { front_percent: 60.2 };
  expect(barSaid(balance(1.14, now))).toBe(
    "Turn the bar 1.1 turns towards the front: 60 % of the brake force in front now, 63 % wanted.",
  );
  expect(barSaid(balance(-0.98, now))).toMatch("Turn the bar 1.0 turn towards the rear");
  expect(barSaid(balance(0.09, now))).toBe("The bar stands right: 60 % of the brake force in front.");
});

test("a lost circuit costs pedal travel, or the brake", () => {
  const say = (mm: number) => `${mm} mm`;
  expect(lostSaid(balance(0), say)).toBe("");
  const stops = { travel_if_lost_mm: 90, stops_if_lost: true };
  expect(lostSaid(balance(0, { front: side, rear: stops }), say)).toBe(
    "Without Front the pedal goes 52 mm. Without Rear the pedal meets its stop before the other circuit brakes.",
  );
});
