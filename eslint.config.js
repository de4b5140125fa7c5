import js from "@eslint/js";
import globals from "globals";

export default [
  js.configs.recommended,
  {
    files: ["app/assets/**/*.{js,mjs}", "*.js"],
    languageOptions: { ecmaVersion: 2024, sourceType: "module", globals: { ...globals.browser, ...globals.serviceworker, ...globals.node } },
  },
  { ignores: ["public/**", "vendor/**", "var/**", "coverage/**"] },
];
