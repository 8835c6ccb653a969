import nextVitals from "eslint-config-next/core-web-vitals";
import nextTypescript from "eslint-config-next/typescript";
import words from "./scripts/lint/retired-words.mjs";

const noStockColours = {
  selector:
    "Literal[value=/\\b(bg|text|border|fill|stroke)-\\[#/], TemplateElement[value.raw=/\\b(bg|text|border|fill|stroke)-\\[#/]",
  message: "Colours are tokens of the theme in globals.css.",
};

const config = [
  { ignores: [".next/**", ".cache/**", "node_modules/**", "next-env.d.ts", "data/**"] },
  ...nextVitals,
  ...nextTypescript,
  {
    rules: {
      "no-restricted-syntax": ["error", noStockColours],
      "@typescript-eslint/no-explicit-any": "error",
      "@typescript-eslint/no-unused-vars": [
        "error",
        { argsIgnorePattern: "^_", varsIgnorePattern: "^_" },
      ],
    },
  },
  {
    ignores: ["src/ui/link.tsx"],
    rules: {
      "no-restricted-imports": [
        "error",
        { name: "next/link", message: "Links are those of @/ui/link: they ask for nothing early." },
      ],
    },
  },
  {
    ignores: ["scripts/lint/**"],
    plugins: { words },
    rules: { "words/retired-words": "error" },
  },
  {
    // The core has no clock and no chance: both arrive as arguments.
    files: ["src/core/**/*.ts"],
    ignores: ["**/*.test.ts"],
    rules: {
      "no-restricted-syntax": [
        "error",
        {
          selector: "NewExpression[callee.name='Date'][arguments.length=0]",
          message: "The core has no clock.",
        },
      ],
      "no-restricted-properties": [
        "error",
        { object: "Date", property: "now", message: "The core has no clock." },
        { object: "Math", property: "random", message: "Chance arrives as a seed." },
      ],
    },
  },
];

export default config;
