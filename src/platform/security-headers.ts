import { randomBytes } from 'node:crypto';

/**
 * What is sent with each answer, so that no other site may frame a page, no script runs but our own, and nothing is guessed.
 * Inline scripts run only with the number of their page; styles stand in attributes, which React writes.
 */
const policyFor = (scripts: string): string =>
  [
    "default-src 'self'",
    // WebAssembly is the SHA-256 and the solver.
    `script-src 'self' 'wasm-unsafe-eval' ${scripts}`,
    "style-src 'self' 'unsafe-inline'",
    "img-src 'self' data: blob:",
    "font-src 'self' data:",
    "connect-src 'self'",
    "worker-src 'self' blob:",
    "object-src 'none'",
    "base-uri 'none'",
    "form-action 'self'",
    "frame-ancestors 'none'",
  ].join('; ');

/** The page that checks itself brings all it needs in one file, and may reach no network. */
const CHECKER_POLICY =
  "default-src 'none'; script-src 'unsafe-inline'; style-src 'unsafe-inline'; font-src data:; img-src data:; frame-ancestors 'none'";
const CHECKER = '/check-a-record.html';

/** Codes are scanned and pictures taken; nothing else of a device is asked for. */
const PERMISSIONS =
  'camera=(self), microphone=(), geolocation=(), payment=(), usb=(), bluetooth=(), display-capture=()';
const YEAR_S = 31_536_000;

/** The number of one page's own inline scripts: nobody can guess it. */
export const createNonce = (): string => randomBytes(16).toString('base64');

/** The header of pages and data. @param nonce the number of this page's own inline scripts @param develops scripts are evaluated while they are edited */
export const contentPolicy = (path: string, nonce: string, develops = false): string =>
  path === CHECKER
    ? CHECKER_POLICY
    : policyFor(`'nonce-${nonce}'${develops ? " 'unsafe-eval'" : ''}`);

/** Headers beside the policy. @param https the browser reached the site by https, which it shall keep to */
export const securityHeaders = (https: boolean): Readonly<Record<string, string>> => ({
  'x-content-type-options': 'nosniff',
  'referrer-policy': 'same-origin',
  'x-frame-options': 'DENY',
  'cross-origin-resource-policy': 'same-origin',
  'cross-origin-opener-policy': 'same-origin',
  'permissions-policy': PERMISSIONS,
  ...(https ? { 'strict-transport-security': `max-age=${YEAR_S}` } : {}),
});
