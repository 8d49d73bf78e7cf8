import { defineConfig, globalIgnores } from 'eslint/config';
import next from 'eslint-config-next/core-web-vitals';
import nextTs from 'eslint-config-next/typescript';

const AMBIENT = 'The core is told the time and its random numbers: take them as arguments.';

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
    files: ['src/core/**/*.ts'],
    rules: {
      'no-restricted-syntax': [
        'error',
        { selector: "MemberExpression[object.name='Date'][property.name='now']", message: AMBIENT },
        { selector: "NewExpression[callee.name='Date'][arguments.length=0]", message: AMBIENT },
        {
          selector: "MemberExpression[object.name='Math'][property.name='random']",
          message: AMBIENT,
        },
      ],
    },
  },
  globalIgnores(['.next/**', '.data/**', 'public/**', 'next-env.d.ts', '**/*.cjs']),
]);
