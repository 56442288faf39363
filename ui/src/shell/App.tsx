import type { ComponentType } from "react";
import { QueryClientProvider } from "@tanstack/react-query";
import { createBrowserRouter, RouterProvider } from "react-router";
import { Theme } from "../kit/theme";
import { ahead } from "./ahead";
import { Lost } from "./Lost";
import { rooms } from "./rooms";
import { outbox, queryClient } from "../server/server";
import { Shell } from "./Shell";
import { OutboxContext } from "../server/useOutbox";

/** A room as the router wants it. */
const entered =
  <Room extends object>(room: () => Promise<Room>, name: keyof Room) =>
  async () => ({ Component: (await room())[name] as ComponentType });

/** The bar stands while a room is on its way. */
const ROOMS = [
  { path: "/", loader: ahead.bench, lazy: entered(rooms.bench, "Bench") },
  { path: "/machines", loader: ahead.tables, lazy: entered(rooms.machines, "Machines") },
  { path: "/machines/:id", loader: ahead.machine, lazy: entered(rooms.machine, "MachinePage") },
  { path: "/jobs/:id/:stage?", loader: ahead.job, lazy: entered(rooms.job, "JobPage") },
  { path: "/shelf", lazy: entered(rooms.shelf, "ShelfPage") },
  { path: "/sizer", loader: ahead.tables, lazy: entered(rooms.sizer, "SizerPage") },
  { path: "/practice", lazy: entered(rooms.practice, "PracticePage") },
  { path: "/shop", lazy: entered(rooms.shop, "ShopPage") },
  { path: "/look-up", loader: ahead.tables, lazy: entered(rooms.lookup, "LookupPage") },
  { path: "*", element: <Lost /> },
].map((room) => ({ ...room, hydrateFallbackElement: <></> }));

const router = createBrowserRouter([
  {
    element: <Shell />,
    errorElement: <Lost />,
    children: ROOMS,
  },
]);

export function App() {
  return (
    <QueryClientProvider client={queryClient}>
      <OutboxContext value={outbox}>
        <Theme>
          <RouterProvider router={router} />
        </Theme>
      </OutboxContext>
    </QueryClientProvider>
  );
}
