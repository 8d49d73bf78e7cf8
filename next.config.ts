import type { NextConfig } from 'next';
import { MOST_BODY_BYTES } from './src/platform/body-limits';

const config: NextConfig = {
  output: 'standalone',
  outputFileTracingRoot: import.meta.dirname,
  turbopack: { root: import.meta.dirname },
  serverExternalPackages: ['pg', 'pdfkit', 'highs', 'tinypool'],
  // Read by path when a record is printed or a plan is solved, so tracing must be told.
  outputFileTracingIncludes: {
    '/plan': ['./node_modules/highs/build/*'],
    '/calendar.ics': ['./node_modules/highs/build/*'],
    ...Object.fromEntries(
      ['/batch/[id]/record.pdf', '/records/zip', '/labels.pdf'].map((route) => [
        route,
        [
          './node_modules/@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-{400,700}-normal.woff',
          './node_modules/dejavu-fonts-ttf/ttf/DejaVuSans{,-Bold}.ttf',
          './node_modules/pdfkit/js/data/**',
        ],
      ]),
    ),
  },
  experimental: {
    // What is larger is cut off without a word before a route reads it.
    proxyClientMaxBodySize: MOST_BODY_BYTES,
  },
  poweredByHeader: false,
  devIndicators: false,
  agentRules: false,
  typescript: { ignoreBuildErrors: true }, // checked by `npm run typecheck`, in a tenth of the time
};
export default config;
