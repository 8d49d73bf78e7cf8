import { isoOf, type Instant } from '../quantity/instant';
import type { Verdict } from '../evidence/verdict';

const iso = (at: Instant | null): string | null => (at === null ? null : isoOf(at));

/** A verdict with its times as `YYYY-MM-DDTHH:MM:SS.fffZ`; numbers are not rounded. */
export const verdictJson = (v: Verdict): Record<string, unknown> => ({
  ...v,
  asOf: iso(v.asOf),
  segmentFrom: iso(v.segmentFrom),
  segments: v.segments.map((s) => ({
    ...s,
    from: iso(s.from),
    to: iso(s.to),
    provenAt: iso(s.provenAt),
  })),
  run: v.run && { from: iso(v.run.from), to: iso(v.run.to) },
  provenAt: iso(v.provenAt),
  earliestProofAt: iso(v.earliestProofAt),
  notes: v.notes.map(({ code, at, from, to, readings, text }) => ({
    code,
    at: iso(at),
    ...(from === undefined ? {} : { from: iso(from) }),
    ...(to === undefined ? {} : { to: iso(to) }),
    ...(readings ? { readings } : {}),
    text,
  })),
});
