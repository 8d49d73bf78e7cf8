import { defineConfig, globalIgnores } from 'eslint/config';
import next from 'eslint-config-next/core-web-vitals';
import nextTs from 'eslint-config-next/typescript';
import ts from 'typescript-eslint';

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
export const WORDING = [
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

/** The product itself; tests may be shorter with what they know. */
const PRODUCT = { files: ['src/**/*.ts', 'src/**/*.tsx'], ignores: ['**/*.test.ts'] };

/**
 * How long and how tangled a function may be. Warnings: `scripts/lint.mjs` counts them and lets none come in beside those in
 * `lint-ceiling.json`.
 */
const SIZES = {
  'max-lines-per-function': ['warn', { max: 60, skipBlankLines: true, skipComments: true }],
  'max-lines': ['warn', { max: 400, skipBlankLines: true, skipComments: true }],
  complexity: ['warn', 15],
  'max-params': ['warn', 5],
};

/** What the strict sets ask and this project does otherwise, each with its reason. */
const OTHERWISE = {
  // Figures are what most texts here are made of; how they are rounded is seen where they are made.
  '@typescript-eslint/restrict-template-expressions': ['error', { allowNumber: true }],
  // `onClick={() => save()}` is how handlers are written.
  '@typescript-eslint/no-confusing-void-expression': ['error', { ignoreArrowShorthand: true }],
  // Unions and mapped types are all over: one way to name a shape, not two.
  '@typescript-eslint/consistent-type-definitions': ['error', 'type'],
  // What looks like methods here are functions in an object: none uses `this`.
  '@typescript-eslint/unbound-method': 'off',
  // Indices that were just checked; their number only falls.
  '@typescript-eslint/no-non-null-assertion': 'warn',
};

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
  ...[...ts.configs.strictTypeChecked, ...ts.configs.stylisticTypeChecked].map((config) => ({
    ...config,
    ...PRODUCT,
  })),
  {
    ...PRODUCT,
    languageOptions: {
      parserOptions: { projectService: true, tsconfigRootDir: import.meta.dirname },
    },
    rules: { ...SIZES, ...OTHERWISE, 'no-restricted-syntax': ['error', ...WORDING] },
  },

  // A catalogue is as long as there is to say.
  { files: ['src/messages/**/*.ts'], rules: { 'max-lines': 'off' } },
  {
    files: ['src/core/**/*.ts'],
    ignores: ['**/*.test.ts'],
    rules: { 'no-restricted-syntax': ['error', ...AMBIENT, ...WORDING] },
  },
  globalIgnores(['.next/**', '.data/**', 'public/**', 'next-env.d.ts', '**/*.cjs']),
]);
