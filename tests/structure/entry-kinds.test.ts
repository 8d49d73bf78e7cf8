import { z } from 'zod';
import { logOf } from '../support/log';
import {
  ENTRY_KINDS,
  getKindDescription,
  isCorrectable,
  SITE_KINDS,
  STORE_KINDS,
  STORE_LOG,
  tellEntry,
  type BatchKind,
  type DataOf,
  type Entry,
  type EntryKind,
} from '@/core/log/entry';
import { foldBatch, foldSite } from '@/core/log/fold';
import { inheritedFrom } from '@/core/log/lineage';
import { batchFileOf } from '@/core/formats/batch-file-of';
import type { BatchFile } from '@/core/formats/batch-file';
import { entriesOfFile } from '@/core/formats/entries-of-file';
import { checkTrail, trailOf } from '@/core/formats/trail';
import { assessBatch } from '@/core/snapshot/assess-batch';
import { parseEntryForm } from '@/entry/input';
import { logLines } from '@/features/log/view';
import { recordDoc } from '@/features/record/view';
import { usualTemplate } from '@/core/advice/templates';
import { chainOf } from '../support/chain';
import { sha256 } from '../support/sha256';
import { entryId, batchId } from '../support/ids';

/** A kind that the product does not have. Nothing but the registry is told of it. */
const SNIFF = 'sniff' as EntryKind;
jest.mock('@/core/log/kinds', () => {
  const real = jest.requireActual<typeof import('@/core/log/kinds')>('@/core/log/kinds');
  const { z: zod } = jest.requireActual<{ z: typeof z }>('zod');
  return {
    ENTRY_KIND_REGISTRY: {
      ...real.ENTRY_KIND_REGISTRY,
      sniff: {
        schema: zod.looseObject({ of: zod.string().min(1) }),
        scope: 'batch',
        drawsOnStore: true,
        correction: 'strike',
        inherited: true,
        fileEvent: null,
        clocks: 'none',
        snapshots: 'own',
        mark: 'note',
        tell: (data: { of: string }) => ({ title: 'Sniffed', detail: data.of }),
        record: (data: { of: string }) => `Sniffed: ${data.of}`,
      },
    },
  };
});

const ID = '01a1ab24-d440-7388-a1d8-5bef6f1bf167';
const H = 3_600_000;
const NOW = Date.UTC(2026, 9, 25, 12);
const SITE = { name: 'Hopyard Corner', timeZone: 'Europe/London', unit: 'C' } as const;
const LOCALE = { timeZone: SITE.timeZone, unit: SITE.unit, now: NOW } as const;

/** A heap that earns its hours, two hot rounds a day. */
function hotLog() {
  const log = logOf(NOW - 90 * H);
  log.put('built', {}, { at: NOW - 90 * H });
  for (let h = 84; h >= 12; h -= 12) log.round(NOW - h * H, 60, 61, 62);
  return log;
}

describe('a kind that nobody knew before', () => {
  const parsed = (data: object) =>
    parseEntryForm(
      { id: ID, batch: ID, kind: SNIFF, at: null, by: 'Mo', data },
      SITE.timeZone,
      NOW,
    );
  const withSniff = () => {
    const log = hotLog();
    log.put(SNIFF, { of: 'the forest' } as never, { at: NOW - 5 * H });
    return log;
  };

  test('is taken by the form, and refused where its data are wrong', () => {
    expect(parsed({ of: 'the forest' })).toMatchObject({ ok: true, entry: { kind: SNIFF } });
    expect(parsed({ of: '' })).toMatchObject({ ok: false, problems: [{ path: 'of' }] });
  });
  test('is told in the log, can be struck out there, and goes along with a part', () => {
    const log = withSniff();
    expect(logLines(foldBatch(log.entries), LOCALE)[0]).toMatchObject({
      title: 'Sniffed',
      detail: 'the forest',
      mark: 'note',
      correctable: true,
    });
    expect(inheritedFrom(log.entries, NOW).map((e) => e.kind)).toContain(SNIFF);
    expect(STORE_LOG).toContain(SNIFF);
  });
  test('stands in the printed record', () => {
    const state = foldBatch(withSniff().entries);
    const doc = recordDoc({
      state,
      site: SITE,
      siteState: foldSite([]),
      now: NOW,
      unit: 'C',
    });
    expect(JSON.stringify(doc)).toContain('Sniffed: the forest');
  });
  test('travels in a file’s trail, and a changed one is found out', () => {
    const { entries } = withSniff();
    const carried = (list: readonly Entry[]) => ({
      ...batchFileOf(foldBatch(list), SITE, foldSite([]))!,
      trail: trailOf('S', chainOf('S', list)),
    });
    const text = JSON.stringify(carried(entries));
    expect(text).toContain('the forest');
    const check = (json: string) => checkTrail(JSON.parse(json) as BatchFile, sha256);
    expect(check(text)).toMatchObject({ ok: true, told: { entries: entries.length } });
    expect(check(text.replace('the forest', 'the drain'))).toMatchObject({ ok: false });
  });
});

/** One of each kind of a batch, as small as it may be; the compiler names what a new kind lacks. */
const SAMPLES: { readonly [K in BatchKind]: DataOf<K> } = {
  opened: {
    code: 'E',
    method: 'turned',
    points: [{ id: 'P1' }],
    policy: {},
    rules: [],
    ownRules: [],
  },
  'lay-up': { recipe: { id: ID, name: 'Half and half', parts: [] } },
  charge: { parts: [{ material: 'straw', amount: { in: 'litres', n: 200 } }] },
  built: {},
  round: {
    source: 'hand',
    readings: [{ id: 'r', at: new Date(NOW).toISOString(), point: 'P1', value: 60, unit: 'C' }],
  },
  skip: { reason: 'no-time' },
  photo: { sha256: 'a'.repeat(64), width: 10, height: 10 },
  plan: {
    points: ['P1', 'P2', 'P3'].map((id) => ({ id, label: `${id} core`, zone: 'core' as const })),
  },
  position: { position: { bay: '5' } },
  turn: { full: true },
  water: { clean: true },
  addition: { raw: false },
  merge: { withProven: true },
  moisture: { state: 'moist' },
  observation: { smell: 'earthy' },
  note: { words: 'x' },
  move: {},
  transfer: { what: 'char', raw: false, seeds: false },
  split: { to: batchId(ID), volumeM3: 1, code: 'X' },
  stack: { with: batchId(ID), layer: 'upper' },
  size: { volumeM3: 2 },
  method: { template: usualTemplate('static') },
  fix: { fix: 'cover' },
  defer: { task: 'turn', until: NOW, reason: 'weather' },
  assign: { task: 'turn', who: 'Mo' },
  'bay-wanted': { by: NOW },
  hold: { on: true },
  ready: {},
  ended: { reason: 'discarded' },
  cover: {},
  screen: {},
  cure: {},
  release: {},
  terms: { policy: {}, rules: [], ownRules: [] },
  correction: { target: entryId(ID), reason: 'a slip' },
  'entry-check': { target: entryId(ID) },
};

describe('what a description says of its kind', () => {
  const kinds = Object.entries(SAMPLES) as [EntryKind, object][];
  const verdicts = (entries: readonly Entry[]) =>
    assessBatch(foldBatch(entries), SITE, foldSite([]), NOW)?.rules.map(
      ({ assessment: { verdict } }) => verdict,
    );

  test('every kind of a batch has a sample, and no other', () =>
    expect(kinds.map(([kind]) => kind).sort()).toEqual(
      ENTRY_KINDS.filter((k) => k !== SNIFF && !SITE_KINDS.includes(k)).sort(),
    ));
  test.each(kinds)('%s: its data fit, and it has a title', (kind, data) => {
    const parsed = getKindDescription(kind).schema.safeParse(data);
    expect(parsed.error?.issues).toBeUndefined();
    const { title } = tellEntry({ kind, data: parsed.data } as Entry, { unit: 'C', readings: [] });
    expect(title).toMatch(/^[A-Z]/);
  });
  test.each(kinds.filter(([kind]) => getKindDescription(kind).clocks === 'none'))(
    '%s touches no clock: the verdicts are the same with and without it',
    (kind, data) => {
      const log = hotLog();
      const before = verdicts(log.entries);
      log.put(kind, data as never, { at: NOW - 30 * H });
      expect(verdicts(log.entries)).toEqual(before);
    },
  );
  test.each([
    ['turn', { full: true }],
    ['addition', { raw: true }],
    ['terms', { policy: { guardBandC: 3 }, rules: ['us-503-pfrp-turned'], ownRules: [] }],
    ['round', SAMPLES.round],
  ] as const)('%s does touch them', (kind, data) => {
    const log = hotLog();
    const before = verdicts(log.entries);
    log.put(kind, data as never, { at: NOW - 30 * H });
    expect(verdicts(log.entries)).not.toEqual(before);
  });
  test('an event of a batch file comes back as the kind that it was', () => {
    const log = hotLog();
    const events = kinds.filter(([kind]) => getKindDescription(kind).fileEvent !== null);
    events.forEach(([kind, data], i) =>
      log.put(kind, data as never, { at: NOW - (11 - i * 0.1) * H }),
    );
    const file = batchFileOf(foldBatch(log.entries), SITE, foldSite([]))!;
    const back = entriesOfFile(file, {
      openedId: entryId(ID),
      by: 'Mo',
      rules: [],
      idOf: (n) => entryId(`id-${n}`),
    });
    expect(
      back
        .map((e) => e.kind)
        .filter((k) => k in SAMPLES && !['opened', 'built', 'round'].includes(k)),
    ).toEqual(events.map(([kind]) => kind));
  });
  test('what lies in the store is the site’s too; what cannot be struck is few', () => {
    for (const kind of STORE_KINDS) expect(SITE_KINDS).toContain(kind);
    expect(ENTRY_KINDS.filter((k) => !SITE_KINDS.includes(k) && !isCorrectable(k)).sort()).toEqual([
      'assign',
      'bay-wanted',
      'correction',
      'cover',
      'defer',
      'opened',
      'release',
      'screen',
      'terms',
    ]);
  });
});
