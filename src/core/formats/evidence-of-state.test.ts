import fc from 'fast-check';
import { at, DAY0, H } from '../../../tests/support/evidence';
import { logOf } from '../../../tests/support/log';
import { assessRule, prepare } from '../evidence/verdict';
import type { Evidence } from '../evidence/types';
import type { DataOf, Entry } from '../log/entry';
import { foldBatch, foldSite, type SiteState } from '../log/fold';
import { RULE_LIBRARY } from '../rules/library';
import { evidenceOf, parseBatchFile } from './batch-file';
import { batchFileOf } from './batch-file-of';
import { evidenceOfState } from './evidence-of-state';
import { entryId } from '../../../tests/support/ids';

/** The log's evidence is that of the file that is handed out: a verdict on the screen and one from the file cannot differ. */
const SITE = { name: 'Hopyard Corner', timeZone: 'Europe/London', unit: 'F' as const };
const NOW = at(400);

const siteEntry = (kind: Entry['kind'], data: object, hour: number, seq: number): Entry =>
  ({
    id: `s${seq}`,
    batch: null,
    at: at(hour),
    recordedAt: at(hour),
    by: 'Mo',
    kind,
    data,
    seq,
    hash: '',
  }) as unknown as Entry;
const SITE_STATE: SiteState = foldSite([
  siteEntry('probe-check', { probe: 'T1', referenceC: 0, readC: 0.6 }, -20, 1),
  siteEntry('probe-check', { probe: 'T1', referenceC: 100, readC: 99 }, -19.5, 2),
  siteEntry('probe-check', { probe: 'T2', referenceC: 0, readC: -1 }, 30, 3),
  siteEntry('ambient', { value: 9, unit: 'C' }, 12, 4),
  siteEntry('ambient', { value: 48, unit: 'F' }, 60, 5),
  siteEntry('ambient', { value: 3, unit: 'C' }, -100, 6),
]);

/** Both ways from a log to evidence; the file goes through its text and its parser. */
function bothWays(entries: readonly Entry[]): { direct: Evidence; filed: Evidence } {
  const state = foldBatch(entries);
  const parsed = parseBatchFile(JSON.parse(JSON.stringify(batchFileOf(state, SITE, SITE_STATE))));
  if (!parsed.ok) throw new Error(JSON.stringify(parsed.problems));
  return {
    direct: evidenceOfState(state, SITE, SITE_STATE, state.terms.at(-1)!)!,
    filed: evidenceOf(parsed.file),
  };
}
/** As JSON has it: fields that are undefined are not there. */
const plain = (evidence: Evidence): unknown => JSON.parse(JSON.stringify(evidence));
const verdicts = (evidence: Evidence): unknown =>
  RULE_LIBRARY.map((rule) => assessRule(prepare(evidence, NOW), rule).verdict);

const actArb = fc.tuple(
  fc.constantFrom(
    'round',
    'turn',
    'water',
    'addition',
    'squeeze',
    'merge',
    'strike',
    'correct',
    'note',
  ),
  fc.integer({ min: 1, max: 1500 }).map((q) => q / 4),
  fc.integer({ min: 40, max: 76 }),
  fc.constantFrom('T1', 'T2', undefined),
);
type Act = [string, number, number, string | undefined];

function logOfActs(
  acts: readonly Act[],
  brought: DataOf<'opened'>['brought'] | undefined,
): Entry[] {
  const log = logOf(DAY0 - H, {
    points: ['P1', 'P2', 'P3'].map((id, i) => ({ id, depthM: 0.3 * (i + 1) })),
    policy: { maxGapHours: 48, minPoints: 2 },
    shape: 'windrow',
    coreDepthM: 0.9,
    ...(brought ? { brought } : {}),
  });
  log.put('built', {}, { at: DAY0 });
  const rounds: string[] = [];
  for (const [act, hour, value, probe] of acts) {
    const when = { at: at(hour) };
    const target = rounds[value % Math.max(1, rounds.length)];
    if (act === 'round') {
      const id = log.round(at(hour), value, value + 1, value - 1);
      rounds.push(id);
      const { data } = log.entries.at(-1)! as { data: DataOf<'round'> };
      for (const r of data.readings) if (probe) (r as { probe?: string }).probe = probe;
    } else if (act === 'turn') log.put('turn', { full: value > 44 }, when);
    else if (act === 'water') log.put('water', { clean: value > 42 }, when);
    else if (act === 'addition')
      log.put('addition', { raw: value < 42, seeds: value % 2 === 0 }, when);
    else if (act === 'squeeze')
      log.put('observation', { squeeze: value < 50 ? 'crumbles' : 'holds' }, when);
    else if (act === 'merge') log.put('merge', { withProven: value > 45 }, when);
    else if (act === 'note') log.put('note', { words: 'looked' }, when);
    else if (target && act === 'strike')
      log.put('correction', { target: entryId(target), reason: 'a slip' }, when);
    else if (target)
      log.put(
        'correction',
        {
          target: entryId(target),
          reading: `${target}.2`,
          value: 58.25,
          unit: 'C',
          reason: 'read again',
        },
        when,
      );
  }
  return log.entries;
}

const BROUGHT = {
  probes: [{ id: 'T1', checks: [{ at: '2026-04-20T09:00:00+01:00', referenceC: 0, readC: 0.4 }] }],
  ambient: [{ at: '2026-05-02T09:00:00Z', value: 11, unit: 'C' as const }],
  extra: { weather: 'fair' },
  siteName: 'Mill Lane',
  timeZone: 'America/Chicago',
};

test.each([
  ['a batch that was built here', undefined],
  ['one that was brought in, whose thermometer has the name of one here', BROUGHT],
] as const)('%s: the same evidence and the same verdicts, whatever is logged', (_what, brought) =>
  fc.assert(
    fc.property(fc.array(actArb, { maxLength: 30 }), (acts) => {
      const { direct, filed } = bothWays(logOfActs(acts, brought as DataOf<'opened'>['brought']));
      expect(plain(direct)).toEqual(plain(filed));
      expect(verdicts(direct)).toEqual(verdicts(filed));
    }),
    { numRuns: 60 },
  ),
);

test('a batch that is still being built has none', () => {
  const state = foldBatch(logOf(DAY0).entries);
  expect(evidenceOfState(state, SITE, SITE_STATE, state.terms.at(-1)!)).toBeNull();
});
