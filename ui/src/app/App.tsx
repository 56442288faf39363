import { QueryClientProvider } from "@tanstack/react-query";
import { createBrowserRouter, RouterProvider } from "react-router";
import { Bench } from "../bench/Bench";
import { JobPage } from "../job/JobPage";
import { Theme } from "../kit/theme";
import { Lost } from "./Lost";
import { outbox, queryClient } from "./server";
import { Shell } from "./Shell";
import { OutboxContext } from "./useOutbox";

/** Rooms fetched when they are entered: bench and job come with the page. */
const rooms = {
  machines: async () => ({ Component: (await import("../machines/Machines")).Machines }),
  machine: async () => ({ Component: (await import("../machines/MachinePage")).MachinePage }),
  shelf: async () => ({ Component: (await import("../shelf/ShelfPage")).ShelfPage }),
  sizer: async () => ({ Component: (await import("../sizer/SizerPage")).SizerPage }),
  shop: async () => ({ Component: (await import("../shop/ShopPage")).ShopPage }),
};

const router = createBrowserRouter([
  {
    element: <Shell />,
    errorElement: <Lost />,
    hydrateFallbackElement: <></>,
    children: [
      { path: "/", element: <Bench /> },
      { path: "/machines", lazy: rooms.machines },
      { path: "/machines/:id", lazy: rooms.machine },
      { path: "/jobs/:id/:stage?", element: <JobPage /> },
      { path: "/shelf", lazy: rooms.shelf },
      { path: "/sizer", lazy: rooms.sizer },
      { path: "/shop", lazy: rooms.shop },
      { path: "*", element: <Lost /> },
    ],
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
