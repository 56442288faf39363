import { createContext, useContext } from "react";

interface BenchLight {
  name: "light" | "dark";
  turn: () => void;
}

export const BenchLightContext = createContext<BenchLight>({ name: "light", turn: () => undefined });

export const useBenchLight = (): BenchLight => useContext(BenchLightContext);
