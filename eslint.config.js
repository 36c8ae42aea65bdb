import vue from "eslint-plugin-vue";
import ts from "typescript-eslint";
import { typedParser } from "./scripts/lint-parser.mjs";

/** One direction: core ← server, core ← web. The same rule is tested on the import graph in tests/layers.test.ts. */
const never = (...patterns) => [
  "error",
  { patterns: patterns.map((group) => ({ group: [group] })) },
];

const typed = typedParser("tsconfig.lint.json");
/** What only the types tell: promises that nobody waits for, and cases that nobody has thought of. */
const promisesAndCases = {
  "@typescript-eslint/no-floating-promises": "error",
  "@typescript-eslint/no-misused-promises": ["error", { checksVoidReturn: { arguments: false } }],
  "@typescript-eslint/await-thenable": "error",
  "@typescript-eslint/switch-exhaustiveness-check": [
    "error",
    { considerDefaultExhaustiveForUnions: true },
  ],
  "@typescript-eslint/only-throw-error": "error",
};

export default ts.config(
  { ignores: ["dist/**", "data/**", "node_modules/**", "**/*.as.ts", "**/*.wasm.ts"] },
  ...ts.configs.recommended,
  ...vue.configs["flat/recommended"],
  {
    files: ["**/*.vue"],
    languageOptions: { parserOptions: { parser: ts.parser } },
    rules: { "no-undef": "off" },
  },
  {
    rules: {
      "@typescript-eslint/no-unused-vars": [
        "error",
        { argsIgnorePattern: "^_", varsIgnorePattern: "^_", ignoreRestSiblings: true },
      ],
      "@typescript-eslint/consistent-type-imports": "error",
      "max-lines": ["error", { max: 350, skipBlankLines: true, skipComments: true }],
      complexity: ["error", 16],
      eqeqeq: "error",
      "no-console": "off",
      "vue/multi-word-component-names": "off",
      // Prettier decides how markup is laid out.
      "vue/max-attributes-per-line": "off",
      "vue/singleline-html-element-content-newline": "off",
      "vue/multiline-html-element-content-newline": "off",
      "vue/html-self-closing": "off",
      "vue/html-indent": "off",
      "vue/html-closing-bracket-newline": "off",
      "vue/require-default-prop": "off",
    },
  },
  {
    files: ["core/**"],
    rules: { "no-restricted-imports": never("**/server/**", "**/web/**", "node:*", "vue") },
  },
  {
    files: ["core/**/*.ts", "server/**/*.ts", "web/**/*.ts"],
    languageOptions: { parser: typed },
    rules: promisesAndCases,
  },
  {
    files: ["web/**/*.vue"],
    languageOptions: { parserOptions: { parser: typed } },
    rules: promisesAndCases,
  },
  { files: ["server/**"], rules: { "no-restricted-imports": never("**/web/**") } },
  { files: ["web/**"], rules: { "no-restricted-imports": never("**/server/**") } },
  { files: ["**/*.cjs"], rules: { "@typescript-eslint/no-require-imports": "off" } },
  { files: ["**/*.test.ts"], rules: { "@typescript-eslint/no-unused-expressions": "off" } },
);
