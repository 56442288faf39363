import "@fontsource-variable/atkinson-hyperlegible-next";
import "@fontsource-variable/atkinson-hyperlegible-mono";
import { StrictMode } from "react";
import { createRoot } from "react-dom/client";
import { askAgain } from "./server/server";
import { App } from "./shell/App";
import { whenIdle } from "./shell/whenIdle";
import { KEEP_ROOMS } from "./worker/keepRooms";

if ("serviceWorker" in navigator && import.meta.env.PROD) {
  const keepRooms = () =>
    whenIdle(async () => (await navigator.serviceWorker.ready).active?.postMessage(KEEP_ROOMS));
  // answers fetched before the worker took over are fetched again, so that it has them when the server is away
  navigator.serviceWorker.addEventListener("controllerchange", () => {
    void askAgain();
    keepRooms();
  });
  void navigator.serviceWorker.register("/sw.js", { type: "module" });
  keepRooms();
}

const root = document.getElementById("root");
if (!root) throw new Error("the page has no root");
createRoot(root).render(
  <StrictMode>
    <App />
  </StrictMode>,
);
