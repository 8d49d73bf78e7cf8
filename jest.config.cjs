/** @type {import('jest').Config} */
const swc = [
  '@swc/jest',
  {
    jsc: {
      target: 'es2022',
      parser: { syntax: 'typescript', tsx: true },
      transform: { react: { runtime: 'automatic' } },
    },
    module: { type: 'commonjs' },
    sourceMaps: 'inline',
  },
];
const base = {
  testEnvironment: 'node',
  transform: { '\\.(m?[tj]sx?)$': swc },
  setupFiles: ['<rootDir>/src/messages/all.ts'],
  moduleNameMapper: { '^@/(.*)$': '<rootDir>/src/$1' },
  transformIgnorePatterns: [
    '/node_modules/(?!(use-intl|@formatjs/[^/]+|intl-messageformat|icu-minify|d3-[^/]+|internmap|uuid|ml-[^/]+|is-any-array|yalps|cheminfo-types|syllable|flesch-kincaid)/)',
  ],
  modulePathIgnorePatterns: ['<rootDir>/\\.next/', '<rootDir>/\\.data/'],
};
module.exports = {
  projects: [
    {
      ...base,
      displayName: 'unit',
      testMatch: [
        '<rootDir>/src/**/*.test.ts',
        '<rootDir>/tests/outside/**/*.test.ts',
        '<rootDir>/tests/structure/**/*.test.ts',
      ],
    },
    { ...base, displayName: 'database', testMatch: ['<rootDir>/tests/database/**/*.test.ts'] },
    { ...base, displayName: 'journeys', testMatch: ['<rootDir>/tests/journeys/**/*.test.ts'] },
  ],
};
