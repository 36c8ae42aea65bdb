// Components alone: their markup, and what only types tell of their scripts. All else is read by oxlint (.oxlintrc.json),
// whose rules stand here too where it cannot see into a component.
import vue from "eslint-plugin-vue";
import ts from "typescript-eslint";
import { readFileSync } from "node:fs";
import { typedParser } from "./scripts/lint-parser.mjs";

const { rules } = JSON.parse(readFileSync(new URL(".oxlintrc.json", import.meta.url), "utf8"));
const OF_TYPES = [
  "no-floating-promises",
  "no-misused-promises",
  "await-thenable",
  "switch-exhaustiveness-check",
  "only-throw-error",
];
const shared = Object.fromEntries(
  OF_TYPES.map((name) => [`@typescript-eslint/${name}`, rules[`typescript/${name}`]]),
);

export default ts.config(
  { ignores: ["**/*", "!web/", "!web/**/", "!web/**/*.vue"] },
  ...vue.configs["flat/recommended"],
  {
    files: ["web/**/*.vue"],
    plugins: { "@typescript-eslint": ts.plugin },
    languageOptions: { parserOptions: { parser: typedParser("tsconfig.lint.json") } },
    rules: {
      ...shared,
      "max-lines": rules["max-lines"],
      "vue/multi-word-component-names": "off",
      // The formatter decides how markup is laid out.
      "vue/max-attributes-per-line": "off",
      "vue/singleline-html-element-content-newline": "off",
      "vue/multiline-html-element-content-newline": "off",
      "vue/html-self-closing": "off",
      "vue/html-indent": "off",
      "vue/html-closing-bracket-newline": "off",
      "vue/require-default-prop": "off",
    },
  },
);
