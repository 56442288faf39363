import js from "@eslint/js";
import hooks from "eslint-plugin-react-hooks";
import ts from "typescript-eslint";

/** The rooms of the page from the ground up: each takes from those below it, never from beside or above. */
const STOREYS = [
  ["kit"],
  ["server"],
  ["words"],
  ["drawings"],
  ["pieces"],
  ["sizer"],
  ["job", "bench", "machines", "shelf", "practice", "shop"],
  ["shell"],
];

const arrows = STOREYS.flatMap((storey, height) =>
  storey.map((room) => {
    const closed = STOREYS.slice(height)
      .flat()
      .filter((other) => other !== room);
    return {
      files: [`src/${room}/**/*.{ts,tsx}`],
      rules: {
        "no-restricted-imports": [
          "error",
          {
            patterns: [
              {
                regex: `^(\\.\\./)+(${closed.join("|") || "main"})(/|$)`,
                message: `${room} takes only from the rooms below it (ui/eslint.config.js).`,
              },
            ],
          },
        ],
      },
    };
  }),
);

export default ts.config(
  { ignores: ["dist", "src/server/contract.d.ts"] },
  js.configs.recommended,
  ts.configs.recommended,
  hooks.configs.flat["recommended-latest"],
  ...arrows,
);
