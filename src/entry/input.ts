import { issueText } from '@/core/words/issue-text';
import { say } from '@/messages/say';
import { BatchIdSchema, EntryIdSchema } from '@/core/log/ids';
import { z } from 'zod';
import { DeviceSchema, getKindDescription, ENTRY_KINDS, type NewEntry } from '@/core/log/entry';
import { HandReadingSchema } from '@/core/log/shapes';
import { instantsOfLocal } from '@/core/quantity/calendar';
import { isoOf, MS, instantOf, parseInstant } from '@/core/quantity/instant';
import { pathText, type Problem } from '@/core/words/problem';

/** What a device sends: an instant, the time as the site's clock shows it, or null for this moment. */
const Frame = z.object({
  id: EntryIdSchema,
  batch: BatchIdSchema.nullable(),
  kind: z.enum(ENTRY_KINDS),
  at: z.string().max(40).nullable(),
  by: z
    .string()
    .trim()
    .min(1, { error: () => say('entry.sayWhoDidIt') })
    .max(60, { error: () => say('entry.useAShorterName') }),
  data: z.record(z.string(), z.unknown()),
});
export type EntryForm = z.input<typeof Frame>;

/** An entry that is being typed: what is wrong with it is part of the answer. */
export const AskedEntry = z.looseObject({ by: z.string() });
export type AskedEntry = z.output<typeof AskedEntry>;

/** How far ahead of the server's clock a phone may be before a time counts as in the future. */
const CLOCK_SLACK_MS = 5 * MS.minute;
/** A year typed with a missing figure lies before this. */
const EARLIEST = Date.UTC(2000, 0, 1);

export type ParsedEntry =
  | { readonly ok: true; readonly entry: NewEntry }
  | { readonly ok: false; readonly problems: readonly Problem[] };

const failed = (path: string, message: string): ParsedEntry => ({
  ok: false,
  problems: [{ path, message }],
});

const noSuchTime = (sent: string): string =>
  say('entry.isNotValidTimeChoose', { replace: sent.replace('T', ' ') });

/** The instant of a time typed by the site's clock. The hour that a clock change repeats is read as its first pass. */
export function timeTyped(local: string, timeZone: string, now: number): number | string {
  if (parseInstant(`${local}Z`) === null) return noSuchTime(local);
  const [at] = instantsOfLocal(timeZone, local);
  if (at === undefined)
    return say('entry.theClockNeverShowedHere', { replace: local.replace('T', ' ') });
  return at > now + CLOCK_SLACK_MS ? say('entry.thatInFutureChooseTime') : Math.min(at, now);
}

/** The instant of a time that was sent: as it stands, or by the site's clock. A little ahead becomes now, so that no verdict overlooks it. */
function instantSent(sent: string, timeZone: string, now: number): number | string {
  const at = parseInstant(sent);
  if (at === null)
    return /^\d{4}-\d{2}-\d{2}T\d{2}:\d{2}$/.test(sent)
      ? timeTyped(sent, timeZone, now)
      : noSuchTime(sent);
  if (at < EARLIEST) return say('entry.isLongBeforeThisSite', { sent: sent.slice(0, 10) });
  return at > now + CLOCK_SLACK_MS ? say('entry.thatInFutureChooseTime') : Math.min(at, now);
}

/** Values of a test of maturity whose readings have a time each: that of the entry, where none was sent. */
function withTimes(values: unknown, at: number): unknown {
  if (values === null || typeof values !== 'object') return values;
  const timed = Object.entries(values as Record<string, unknown>).map(([name, value]) => [
    name,
    Array.isArray(value) ? (value as readonly object[]).map((item) => ({ at, ...item })) : value,
  ]);
  return { turnedAt: at, ...Object.fromEntries(timed) };
}

/**
 * An entry that was sent, parsed at the door. The same form at the same `now` gives the same entry: a repeat is known by that.
 */
export function parseEntryForm(input: unknown, timeZone: string, now: number): ParsedEntry {
  const frame = Frame.safeParse(input, { error: issueText });
  if (!frame.success)
    return {
      ok: false,
      problems: frame.error.issues.map((i) => ({ path: pathText(i.path), message: i.message })),
    };
  const { at: typed, kind, data, ...rest } = frame.data;
  const at = typed === null ? now : instantSent(typed, timeZone, now);
  if (typeof at === 'string') return failed('at', at);
  // A reading without a time of its own was taken at the entry's.
  const whole =
    kind === 'maturity-test'
      ? { ...data, values: withTimes(data.values, at) }
      : kind === 'round' && Array.isArray(data.readings)
        ? {
            ...data,
            readings: data.readings.map((r: unknown) => ({ at: isoOf(at), ...(r as object) })),
          }
        : data;
  const byHand =
    kind === 'round' && whole.source === 'hand'
      ? z
          .looseObject({ readings: z.array(HandReadingSchema) })
          .safeParse(whole, { error: issueText })
      : null;
  if (byHand?.success === false)
    return {
      ok: false,
      problems: byHand.error.issues.map((i) => ({
        path: pathText(['data', ...i.path]),
        message: i.message,
      })),
    };
  if (data.device !== undefined && !DeviceSchema.safeParse(data.device).success)
    return failed('data.device', say('entry.thePhonesClockInformationCannot'));
  const parsed = getKindDescription(kind).schema.safeParse(whole, { error: issueText });
  if (!parsed.success)
    return {
      ok: false,
      problems: parsed.error.issues.map((i) => ({ path: pathText(i.path), message: i.message })),
    };
  if (kind === 'round') {
    for (const r of (parsed.data as { readings: { at: string }[] }).readings) {
      const ahead = instantOf(r.at) - now;
      if (ahead > CLOCK_SLACK_MS) return failed('at', say('entry.thisDevicesClockAheadServers'));
      if (ahead > 0) r.at = isoOf(now);
    }
  }
  return { ok: true, entry: { ...rest, at, kind, data: parsed.data } as NewEntry };
}
