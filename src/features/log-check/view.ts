import { say } from '@/messages/say';
import { whenText } from '@/core/quantity/format';

/** Something that does not fit, as the page shows it. */
export type FaultView = {
  readonly key: string;
  readonly text: string;
  /** Who took note of it, and why it is so; null: nobody has. */ readonly noted: string | null;
};
/** What an entry names that takes note of it. */
export type FaultName = { readonly code: string; readonly seq: number; readonly id: string };

export type LogCheckView = {
  readonly lines: readonly string[];
  readonly faults: readonly FaultView[];
  /** What somebody may take note of now. */ readonly open: readonly FaultName[];
  /** Whether taking note begins a new memory. */ readonly beginsAnew: boolean;
};

/** What is known of a log. */
type Known = {
  readonly timeZone: string;
  readonly now: number;
  readonly check: { readonly at: number; readonly entries: number } | null;
  /** The name of the key; null where the installation has no key. */ readonly key: string | null;
  readonly signedFrom: number | null;
  readonly lastHead: { readonly seq: number; readonly at: number } | null;
  readonly faults: readonly {
    readonly fault: FaultName | null;
    readonly text: string;
    readonly noted: { readonly by: string; readonly at: number; readonly words: string } | null;
  }[];
};

/** Who vouches for the log, and how far. */
function vouchedLines({ key, signedFrom, lastHead, timeZone, now }: Known): string[] {
  if (key === null) return [say('trust.noKey')];
  const from =
    signedFrom === null
      ? []
      : [
          signedFrom === 0
            ? say('trust.allSigned')
            : say('trust.signedFrom', { seq: String(signedFrom) }),
        ];
  const head = lastHead
    ? say('trust.lastHead', {
        when: whenText(timeZone, lastHead.at, now),
        seq: String(lastHead.seq),
      })
    : say('trust.noHead');
  return [say('trust.signedBy', { key }), ...from, head];
}

/** The check of a log, for whoever reads it and for the manager who takes note of what does not fit. */
export function logCheckView(known: Known): LogCheckView {
  const { check, faults, timeZone, now } = known;
  const open = faults.flatMap((f) => (f.noted === null && f.fault !== null ? [f.fault] : []));
  return {
    lines: [
      check
        ? say('trust.checkedAt', { when: whenText(timeZone, check.at, now), n: check.entries })
        : say('trust.notChecked'),
      ...(faults.length > 0
        ? [say('trust.notAllFits', { n: faults.length })]
        : check
          ? [say('trust.allFits')]
          : []),
      ...vouchedLines(known),
    ],
    faults: faults.map(({ fault, text, noted }, i) => ({
      key: fault ? `${fault.code}:${fault.seq}:${fault.id}` : `seen:${i}`,
      text,
      noted: noted && say('trust.noted', { ...noted, when: whenText(timeZone, noted.at, now) }),
    })),
    open,
    beginsAnew: open.some((f) => f.code === 'MEMORY_GONE'),
  };
}
