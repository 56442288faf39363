import { QueryClientProvider } from "@tanstack/react-query";
import { createBrowserRouter, RouterProvider } from "react-router";
import { Bench } from "../bench/Bench";
import { JobPage } from "../job/JobPage";
import { Theme } from "../kit/theme";
import { MachinePage } from "../machines/MachinePage";
import { Machines } from "../machines/Machines";
import { ShopPage } from "../shop/ShopPage";
import { SizerPage } from "../sizer/SizerPage";
import { Lost } from "./Lost";
import { outbox, queryClient } from "./server";
import { Shell } from "./Shell";
import { OutboxContext } from "./useOutbox";

const router = createBrowserRouter([
  {
    element: <Shell />,
    errorElement: <Lost />,
    children: [
      { path: "/", element: <Bench /> },
      { path: "/machines", element: <Machines /> },
      { path: "/machines/:id", element: <MachinePage /> },
      { path: "/jobs/:id/:stage?", element: <JobPage /> },
      { path: "/sizer", element: <SizerPage /> },
      { path: "/shop", element: <ShopPage /> },
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
