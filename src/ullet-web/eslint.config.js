import hooks from "eslint-plugin-react-hooks";
import tseslint from "typescript-eslint";

export default tseslint.config(
  ...tseslint.configs.strict,
  {
    files: ["src/**/*.{ts,tsx}"],
    plugins: { "react-hooks": hooks },
    rules: {
      ...hooks.configs.recommended.rules,
      "@typescript-eslint/no-explicit-any": "error",
      "@typescript-eslint/no-non-null-assertion": "error",
    },
  },
  {
    // What is typed, ticked or chosen goes through the shared fields: they take it before any press.
    files: ["src/rooms/**/*.tsx", "src/frame/**/*.tsx", "src/parts/*.tsx"],
    rules: {
      "no-restricted-syntax": [
        "error",
        {
          selector: "JSXOpeningElement[name.name=/^(input|select|textarea)$/]",
          message: "Use a field of parts/fields: it takes what is typed before any press.",
        },
      ],
    },
  },
  { ignores: ["src/api/schema.generated.ts", "dist"] },
);
