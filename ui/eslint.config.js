import js from "@eslint/js";
import hooks from "eslint-plugin-react-hooks";
import ts from "typescript-eslint";

export default ts.config(
  { ignores: ["dist", "src/server/contract.d.ts"] },
  js.configs.recommended,
  ts.configs.recommended,
  hooks.configs.flat["recommended-latest"],
);
