import { defineConfig, globalIgnores } from 'eslint/config';
import next from 'eslint-config-next/core-web-vitals';
import nextTs from 'eslint-config-next/typescript';

/** Nothing ambient in the core. */
const AMBIENT = [
  "MemberExpression[object.name='Date'][property.name='now']",
  "NewExpression[callee.name='Date'][arguments.length=0]",
  "MemberExpression[object.name='Math'][property.name='random']",
].map((selector) => ({
  selector,
  message: 'The core is told the time and its random numbers: take them as arguments.',
}));

/** Texts are made at the edge; what decides is a code beside them. */
const TEXTS = '/^(text|texts|heading|title|detail|message|sentence)$/';
const READS = '/^(startsWith|endsWith|includes|indexOf|slice|split|match|search)$/';
const SENTENCE = String.raw`/[a-z] |^[A-Z][a-z]+[ .:-]|^: $/`;
const WORDING = [
  // A sentence compared, or looked for.
  `BinaryExpression[operator=/^[!=]==$/] > Literal[value=${SENTENCE}]`,
  `CallExpression[callee.property.name=/^(startsWith|endsWith|includes|indexOf)$/] > Literal[value=${SENTENCE}]`,
  // A text of a screen taken apart, or compared with words.
  `CallExpression[callee.object.property.name=${TEXTS}][callee.property.name=${READS}]`,
  `BinaryExpression[operator=/^[!=]==$/][left.property.name=${TEXTS}] > Literal.right[value=/./]`,
].map((selector) => ({
  selector,
  message: 'Never decide by wording: give what decides a code, and make the text at the edge.',
}));

export default defineConfig([
  ...next,
  ...nextTs,
  {
    rules: {
      '@next/next/no-img-element': 'off',
      '@typescript-eslint/no-unused-vars': [
        'error',
        { argsIgnorePattern: '^_', varsIgnorePattern: '^_', ignoreRestSiblings: true },
      ],
    },
  },
  {
    files: ['src/**/*.ts', 'src/**/*.tsx'],
    ignores: ['**/*.test.ts'],
    rules: { 'no-restricted-syntax': ['error', ...WORDING] },
  },
  {
    files: ['src/core/**/*.ts'],
    ignores: ['**/*.test.ts'],
    rules: { 'no-restricted-syntax': ['error', ...AMBIENT, ...WORDING] },
  },
  globalIgnores(['.next/**', '.data/**', 'public/**', 'next-env.d.ts', '**/*.cjs']),
]);
