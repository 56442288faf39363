import { readdirSync, readFileSync, writeFileSync } from "node:fs";
import { join } from "node:path";
import { brotliCompressSync, constants, gzipSync } from "node:zlib";
import react from "@vitejs/plugin-react";
import { defineConfig } from "vite";
import type { Plugin } from "vite";

const BEST = { params: { [constants.BROTLI_PARAM_QUALITY]: constants.BROTLI_MAX_QUALITY } };

/** Scripts, styles and pictures lie compressed beside themselves, so that the server only picks. */
const compressed: Plugin = {
  name: "compressed",
  apply: "build",
  writeBundle({ dir = "dist" }) {
    const files = readdirSync(dir, { recursive: true, encoding: "utf8" });
    for (const file of files.filter((each) => /\.(js|css|svg)$/.test(each))) {
      const source = readFileSync(join(dir, file));
      writeFileSync(join(dir, `${file}.br`), brotliCompressSync(source, BEST));
      writeFileSync(join(dir, `${file}.gz`), gzipSync(source, { level: 9 }));
    }
  },
};

export default defineConfig({
  plugins: [react(), compressed],
  build: {
    assetsInlineLimit: 0,
    chunkSizeWarningLimit: 900,
    rollupOptions: {
      input: { main: "index.html", sw: "src/worker/sw.ts" },
      output: { entryFileNames: (chunk) => (chunk.name === "sw" ? "sw.js" : "assets/[name]-[hash].js") },
    },
  },
});
