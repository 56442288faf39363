import { readdirSync, readFileSync, writeFileSync } from "node:fs";
import { join } from "node:path";
import { brotliCompressSync, constants, gzipSync } from "node:zlib";
import react from "@vitejs/plugin-react";
import { defineConfig } from "vite";
import type { Plugin } from "vite";
import { dark, light } from "./src/kit/tokens";
import type { Tokens } from "./src/kit/tokens";

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

/** The worker knows every file that was built, so that it can keep them all; a new build is a new worker. */
const filesForWorker: Plugin = {
  name: "files-for-worker",
  apply: "build",
  generateBundle(_, bundle) {
    const worker = bundle["sw.js"];
    if (worker?.type !== "chunk") return;
    const files = Object.keys(bundle).filter((file) => file.startsWith("assets/"));
    worker.code = worker.code.replace("__BUILT_FILES__", JSON.stringify(files.map((file) => `/${file}`)));
  },
};

const coloursOf = ({ ground, panel, line, ink }: Tokens) =>
  `:root{--first-ground:${ground};--first-panel:${panel};--first-line:${line};--first-ink:${ink}}`;

/** The colours of what is seen before the first script, from the tokens of the page. */
const firstColours: Plugin = {
  name: "first-colours",
  transformIndexHtml: () => [
    {
      tag: "style",
      injectTo: "head",
      attrs: { nonce: "__NONCE__" },
      children: `${coloursOf(light)}@media (prefers-color-scheme:dark){${coloursOf(dark)}}`,
    },
  ],
};

/**
 * What most rooms share comes with the page in one file: a request for each small part of it would take longer than the
 * part. What is large and wanted by few stays with those who want it.
 */
const SHARED = {
  name: "shared",
  test: /src\/(kit\/(?!Picker|Sheet)|server|words|pieces\/(?!PersonField|WordSheet))/,
  minShareCount: 2,
};

export default defineConfig({
  plugins: [react(), firstColours, filesForWorker, compressed],
  build: {
    assetsInlineLimit: 0,
    chunkSizeWarningLimit: 900,
    rollupOptions: {
      input: { main: "index.html", sw: "src/worker/sw.ts" },
      output: {
        entryFileNames: (chunk) => (chunk.name === "sw" ? "sw.js" : "assets/[name]-[hash].js"),
        codeSplitting: { groups: [SHARED] },
      },
    },
  },
});
