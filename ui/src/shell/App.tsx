import { lazy } from "react";
import type { ComponentType } from "react";
import { QueryClientProvider } from "@tanstack/react-query";
import { BrowserRouter, Route, Routes } from "react-router";
import { Theme } from "../kit/theme";
import { outbox, queryClient } from "../server/server";
import { OutboxContext } from "../server/useOutbox";
import { ahead } from "./ahead";
import { Entered } from "./Entered";
import { Lost } from "./Lost";
import { rooms } from "./rooms";
import { Shell } from "./Shell";

const page = <Room extends object>(room: () => Promise<Room>, name: keyof Room) =>
  lazy(async () => ({ default: (await room())[name] as ComponentType }));

const ROOMS = [
  { path: "/", Page: page(rooms.bench, "Bench"), ask: ahead.bench },
  { path: "/machines", Page: page(rooms.machines, "Machines"), ask: ahead.tables },
  { path: "/machines/:id", Page: page(rooms.machine, "MachinePage"), ask: ahead.machine },
  { path: "/jobs/:id/:stage?", Page: page(rooms.job, "JobPage"), ask: ahead.job },
  { path: "/shelf", Page: page(rooms.shelf, "ShelfPage") },
  { path: "/sizer", Page: page(rooms.sizer, "SizerPage"), ask: ahead.tables },
  { path: "/practice", Page: page(rooms.practice, "PracticePage") },
  { path: "/shop", Page: page(rooms.shop, "ShopPage") },
  { path: "/look-up", Page: page(rooms.lookup, "LookupPage"), ask: ahead.tables },
];

export function App() {
  return (
    <QueryClientProvider client={queryClient}>
      <OutboxContext value={outbox}>
        <Theme>
          <BrowserRouter>
            <Routes>
              <Route element={<Shell />}>
                {ROOMS.map(({ path, ...room }) => (
                  <Route key={path} path={path} element={<Entered {...room} />} />
                ))}
                <Route path="*" element={<Lost />} />
              </Route>
            </Routes>
          </BrowserRouter>
        </Theme>
      </OutboxContext>
    </QueryClientProvider>
  );
}
