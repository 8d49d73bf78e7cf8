/** Whether phones reach the server under a name, as far as the server itself can find out. */
export type Reach =
  | { readonly code: 'REACHED' }
  /** It answers, with a certificate that this computer does not trust. */
  | { readonly code: 'UNTRUSTED' }
  /** Something else answers under that name. */
  | { readonly code: 'OTHER'; readonly status: number }
  | { readonly code: 'NO_ANSWER' };
/** An address with what a call to it found, and the code that a camera opens it by. */
export type PhoneAddress = {
  readonly address: string;
  readonly reach: Reach;
  readonly code: { readonly side: number; readonly path: string };
  /** What is to be done with the code, step by step. */ readonly steps: readonly string[];
};

/** Faults of a certificate, as Node names them. */
const CERTIFICATE = /CERT|SELF_SIGNED|UNABLE_TO_(GET|VERIFY)|ERR_TLS/;

/** What a failed call says: the code that Node puts into the cause of the fault. */
export function reachOfFailure(error: unknown): Reach {
  const cause =
    error instanceof Error ? (error.cause as { code?: unknown } | undefined) : undefined;
  const code = typeof cause?.code === 'string' ? cause.code : '';
  return CERTIFICATE.test(code) ? { code: 'UNTRUSTED' } : { code: 'NO_ANSWER' };
}
