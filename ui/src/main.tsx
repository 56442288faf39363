import "@fontsource-variable/atkinson-hyperlegible-next";
import "@fontsource-variable/atkinson-hyperlegible-mono";
import "./fonts/plain-zero.css";
import "./shell/first.css";
import { startTransition, StrictMode } from "react";
import { createRoot } from "react-dom/client";
import { readForWorker } from "./server/client";
import { App } from "./shell/App";
import { whenIdle } from "./shell/whenIdle";
import { KEEP_ROOMS } from "./worker/agreed";

if ("serviceWorker" in navigator && import.meta.env.PROD) {
  const worker = navigator.serviceWorker;
  const keepRooms = () => whenIdle(async () => (await worker.ready).active?.postMessage(KEEP_ROOMS));
  // answers fetched before the worker took over are fetched again, so that it has them when the server is away
  worker.addEventListener("controllerchange", () => {
    whenIdle(readForWorker);
    keepRooms();
  });
  whenIdle(() => worker.register("/sw.js", { type: "module" }));
  keepRooms();
}

const root = document.getElementById("root");
if (!root) throw new Error("the page has no root");
// piece by piece, as everything that is much to draw
startTransition(() =>
  createRoot(root).render(
    <StrictMode>
      <App />
    </StrictMode>,
  ),
);
