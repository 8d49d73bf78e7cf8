import { sql, type Kysely } from 'kysely';
import { claimOf } from '@/core/advice/claim';
import { localParts, weekdayOf } from '@/core/quantity/calendar';
import { layUpDemo } from '../../demo/lay-up';
import { MOUND_STATES } from '@/core/snapshot/batch-snapshot';
import type { NewEntry } from '@/core/log/entry';
import { foldBatch, foldSite } from '@/core/log/fold';
import { batchFileOf } from '@/core/formats/batch-file-of';
import { parseBatchFile } from '@/core/formats/batch-file';
import { entriesOfFile } from '@/core/formats/entries-of-file';
import { rulesNamedIn } from '@/core/formats/bring';
import { preparedOf, rulingsOf } from '@/core/formats/verify-call';
import { rulesForMethod } from '@/core/rules/library';
import { up as refold } from '@/db/migrations/0002-refold';
import { chainRepo } from '@/db/repositories/chain';
import { chainCheckRepo } from '@/db/repositories/chain-checks';
import { logRepo } from '@/db/repositories/log';
import { entryHash } from '@/db/repositories/log-rows';
import { snapshotRepo } from '@/db/repositories/snapshots';
import { applySite } from '@/core/snapshot/batch-snapshot';
import { siteConditionsOf } from '@/core/snapshot/site-conditions';
import { rebuildSnapshots, writeEntries } from '@/db/write';
import { newId } from '@/platform/ids';
import { aSite, freshDatabase } from '../support/database';
import { batchId, entryId, loadId } from '../support/ids';

let t: Awaited<ReturnType<typeof freshDatabase>>;
beforeEach(async () => {
  t = await freshDatabase();
}, 30_000);
afterEach(() => t.drop(), 30_000);

const NOW = Date.UTC(2026, 10, 23, 12);
const opened = (id: string, at: number): NewEntry => ({
  id: entryId(id),
  batch: batchId(id),
  at,
  by: 'Mo',
  kind: 'opened',
  data: {
    code: 'E',
    name: 'Egret',
    method: 'static',
    points: ['a', 'b', 'c'].map((p) => ({ id: p })),
    policy: {},
    rules: ['us-503-pfrp-static'],
    ownRules: [],
  },
});
const H = 3_600_000;
function hotRound(batch: string, at: number, value = 60): NewEntry {
  const id = newId();
  return {
    id: entryId(id),
    batch: batchId(batch),
    at,
    by: 'Mo',
    kind: 'round',
    data: {
      source: 'hand',
      readings: ['a', 'b', 'c'].map((point) => ({
        id: `${id}.${point}`,
        at: new Date(at).toISOString(),
        point,
        value,
        unit: 'C' as const,
        round: id,
      })),
    },
  };
}

describe('the log', () => {
  test('the application’s role may add and read, not change or delete; the owner is refused too', async () => {
    const site = await aSite(t.app);
    const id = newId();
    await writeEntries(t.app, site, [opened(id, NOW)], NOW);
    for (const statement of [
      sql`update log_entry set by = 'x'`,
      sql`delete from log_entry`,
      sql`truncate log_entry`,
    ]) {
      await expect(statement.execute(t.app)).rejects.toThrow(/permission denied/);
      await expect(statement.execute(t.admin)).rejects.toThrow(/append-only/);
    }
    expect((await logRepo(t.app).ofBatch(batchId(id)))[0]!.by).toBe('Mo');
    // It gives no entry a number, so that it cannot use them up.
    for (const seq of ['9223372036854775807', '1'])
      await expect(
        sql`insert into log_entry (seq, id, site, at, recorded_at, by, kind, data, hash) overriding system value
          values (${seq}, ${newId()}, ${site.id}, now(), now(), 'Mo', 'note', '{}', 'x')`.execute(
          t.app,
        ),
      ).rejects.toThrow(/permission denied/);
  });

  test('what was found in the log is not taken back by the application’s role', async () => {
    const site = await aSite(t.app);
    const faults = [{ code: 'CHANGED' as const, seq: 3, id: 'x' }];
    await chainCheckRepo(t.app).keep(site.id, NOW, { entries: 9, faults });
    for (const statement of [
      sql`delete from chain_check`,
      sql`update chain_check set faults = '[]'`,
      sql`truncate chain_check`,
    ]) {
      await expect(statement.execute(t.app)).rejects.toThrow(/permission denied/);
      await expect(statement.execute(t.admin)).rejects.toThrow(/append-only/);
    }
    expect((await chainCheckRepo(t.app).last(site.id))?.faults).toEqual(faults);
  });

  test('the same id twice is done once, also at the same time', async () => {
    const site = await aSite(t.app);
    const id = newId();
    await writeEntries(t.app, site, [opened(id, NOW)], NOW);
    const entry = hotRound(id, NOW - H);
    const answers = await Promise.all(
      Array.from({ length: 5 }, () => writeEntries(t.app, site, [entry], NOW)),
    );
    expect(answers.filter((a) => a.entries.length === 1)).toHaveLength(1);
    expect(await logRepo(t.app).ofBatch(batchId(id))).toHaveLength(2);
  });

  test('writers at one time make one chain; a changed history shows', async () => {
    const site = await aSite(t.app);
    const ids = Array.from({ length: 8 }, () => newId());
    await Promise.all(ids.map((id) => writeEntries(t.app, site, [opened(id, NOW)], NOW)));
    expect(await chainRepo(t.app).checkChain(site.id)).toEqual({ entries: 8, faults: [] });
    await sql`alter table log_entry disable trigger user`.execute(t.admin);
    await sql`update log_entry set data = jsonb_set(data, '{name}', '"Other"') where seq = 3`.execute(
      t.admin,
    );
    expect(await chainRepo(t.app).checkChain(site.id)).toMatchObject({
      faults: [{ code: 'CHANGED', seq: 3 }],
    });
  });

  test('what fails halfway is not there at all', async () => {
    const site = await aSite(t.app);
    const id = newId();
    const broken = {
      ...hotRound(id, NOW),
      data: {
        source: 'file',
        readings: [
          { id: 'x\u0000', at: new Date(NOW).toISOString(), point: 'a', value: 1, unit: 'C' },
        ],
      },
    } as NewEntry;
    await expect(writeEntries(t.app, site, [opened(id, NOW), broken], NOW)).rejects.toThrow();
    expect(await logRepo(t.app).batchIds(site.id)).toEqual([]);
  });

  test('a correction supersedes: both values stay, the new one counts', async () => {
    const site = await aSite(t.app);
    const id = newId();
    const built: NewEntry = {
      id: entryId(newId()),
      batch: batchId(id),
      at: NOW - 50 * H,
      by: 'Mo',
      kind: 'built',
      data: {},
    };
    const [one, two] = [hotRound(id, NOW - 40 * H), hotRound(id, NOW - 20 * H, 40)];
    await writeEntries(t.app, site, [opened(id, NOW - 50 * H), built, one, two], NOW);
    expect((await snapshotRepo(t.app).board(site, NOW))[0]!.rules[0]!.status).toBe('broken');
    const fix = (reading: string): NewEntry => ({
      id: entryId(newId()),
      batch: batchId(id),
      at: NOW,
      by: 'Mo',
      kind: 'correction',
      data: { target: two.id, reading, value: 60, unit: 'C', reason: 'read the wrong line' },
    });
    await writeEntries(
      t.app,
      site,
      ['a', 'b', 'c'].map((p) => fix(`${two.id}.${p}`)),
      NOW,
    );
    const state = foldBatch(await logRepo(t.app).ofBatch(batchId(id)));
    expect(state.readings.filter((r) => r.flag === 'superseded').map((r) => r.value)).toEqual([
      40, 40, 40,
    ]);
    expect((await snapshotRepo(t.app).board(site, NOW))[0]!.rules[0]).toMatchObject({
      status: 'running',
      creditedHours: 20,
    });
    await writeEntries(
      t.app,
      site,
      [
        {
          id: entryId(newId()),
          batch: batchId(id),
          at: NOW,
          by: 'Mo',
          kind: 'correction',
          data: { target: one.id, reason: 'another batch' },
        },
      ],
      NOW,
    );
    expect((await snapshotRepo(t.app).board(site, NOW))[0]!.rules[0]).toMatchObject({
      creditedHours: 0,
    });
  });

  test('a thermometer check corrects every heap it was used on', async () => {
    const site = await aSite(t.app);
    const id = newId();
    const round = hotRound(id, NOW - 2 * H, 54.5);
    if (round.kind === 'round') for (const r of round.data.readings) r.probe = 'T1';
    await writeEntries(
      t.app,
      site,
      [
        opened(id, NOW - 9 * H),
        {
          id: entryId(newId()),
          batch: batchId(id),
          at: NOW - 9 * H,
          by: 'Mo',
          kind: 'built',
          data: {},
        },
        round,
      ],
      NOW,
    );
    expect((await snapshotRepo(t.app).board(site, NOW))[0]!.rules[0]!.status).toBe('broken');
    await writeEntries(
      t.app,
      site,
      [
        {
          id: entryId(newId()),
          batch: null,
          at: NOW - 3 * H,
          by: 'Mo',
          kind: 'probe-check',
          data: { probe: 'T1', referenceC: 0, readC: -0.5 },
        },
      ],
      NOW,
    );
    expect((await snapshotRepo(t.app).board(site, NOW))[0]!.rules[0]!.status).toBe('running');
  });
});

describe('snapshots and the demo', () => {
  test.each([0, 2, 5, 7, 9, 12, 15, 17, 19, 21, 23])(
    'laid up at %d o’clock, every drawing of a mound is there; rebuilt snapshots are the same',
    async (hour) => {
      const now = Date.UTC(2026, 10, 23, hour, 20);
      const site = await layUpDemo(t.admin, now);
      const board = await snapshotRepo(t.app).board(site, now);
      expect(board.map((d) => `${d.code} ${d.state}`)).not.toContain('D running');
      expect([...new Set(board.map((d) => d.state))].sort()).toEqual([...MOUND_STATES].sort());
      // Twelve, and two that were moved to cure.
      expect(board).toHaveLength(14);
      // A model: nobody works at night, nothing went out warm or unread, and no load is used after the last of it was spread.
      const all = [
        ...(await logRepo(t.app).ofSite(site.id)),
        ...(await logRepo(t.app).ofLots(site.id)),
        ...(await Promise.all(board.map((d) => logRepo(t.app).ofBatch(d.id)))).flat(),
      ];
      const night = all
        .filter((e) => {
          const { minute } = weekdayOf(site.timeZone, e.at);
          return minute < 5.75 * 60 || minute > 20.25 * 60;
        })
        .map((e) => `${e.kind} ${localParts(site.timeZone, e.at).clock}`);
      expect(night).toEqual([]);
      for (const d of board.filter((x) => x.state === 'released' || x.state === 'curing')) {
        const out = d.state === 'released' ? d.situation.stage.since : now;
        expect([
          d.code,
          claimOf(d.situation, out).doubts.filter((x) => x !== 'unproven'),
          d.rules[0]!.provenAt !== null,
        ]).toEqual([d.code, [], true]);
      }
      const spread = new Map(
        all.flatMap((e) =>
          e.kind === 'load-change' && e.data.gone === 'spread'
            ? [[e.data.load, e.at] as const]
            : [],
        ),
      );
      for (const e of all)
        if (e.kind === 'charge')
          for (const p of e.data.parts)
            expect(e.at).toBeLessThan(spread.get(p.load ?? loadId('')) ?? Infinity);
      // Out of the database, past what the process remembers.
      const conditions = siteConditionsOf(await snapshotRepo(t.app).siteState(site), site);
      const stored = async () =>
        (await snapshotRepo(t.app).read(site, now)).snapshots
          .map((s) => applySite(s, conditions, now))
          .sort((a, b) => (a.id < b.id ? -1 : 1));
      const before = await stored();
      await rebuildSnapshots(t.app, site, now);
      expect(await stored()).toEqual(before);
      expect((await chainRepo(t.app).checkChain(site.id)).faults).toEqual([]);
    },
    60_000,
  );

  test('time alone ends a run: the board is folded anew when it is due', async () => {
    const now = Date.UTC(2026, 10, 23, 14, 20);
    const site = await layUpDemo(t.admin, now);
    const dunnock = async (at: number) =>
      (await snapshotRepo(t.app).board(site, at)).find((d) => d.code === 'D')!;
    expect((await dunnock(now)).rules[0]!.status).toBe('running');
    expect((await dunnock(now + 6 * H)).rules[0]).toMatchObject({
      status: 'broken',
      creditedHours: 0,
    });
  }, 60_000);

  test('a snapshot of an older form is folded anew after the migration that says so', async () => {
    const now = Date.UTC(2026, 10, 23, 14, 20);
    const site = await layUpDemo(t.admin, now);
    await sql`update batch_snapshot set digest = (digest::jsonb - 'rules')::json, recheck_at = null`.execute(
      t.admin,
    );
    await refold(t.admin as unknown as Kysely<unknown>);
    expect(
      (await snapshotRepo(t.app).board(site, now))
        .filter((d) => d.builtAt !== null)
        .every(
          (d) =>
            d.rules.every((r) => r.keptFrom === null && r.totalHours > 0) && d.rules.length > 0,
        ),
    ).toBe(true);
  }, 60_000);

  test('each entry of a batch is given with the hash before it, so that its chain can be checked elsewhere', async () => {
    const now = Date.UTC(2026, 10, 23, 14, 20);
    const site = await layUpDemo(t.admin, now);
    const [batch] = await logRepo(t.app).batchIds(site.id);
    const chained = await logRepo(t.app).chained(site.id, batch!, now);
    for (const { entry, prev } of chained) expect(entryHash(prev, site.id, entry)).toBe(entry.hash);
    const early = await logRepo(t.app).chained(site.id, batch!, now - 5 * 24 * H);
    expect(early).toEqual(chained.slice(0, early.length));
    expect(early.length).toBeLessThan(chained.length);
  }, 60_000);

  test('what is taken out and brought in again gives the same verdicts to the last digit', async () => {
    const now = Date.UTC(2026, 10, 23, 14, 20);
    const site = await layUpDemo(t.admin, now);
    const siteState = foldSite(await logRepo(t.app).ofSite(site.id));
    for (const batch of await logRepo(t.app).batchIds(site.id)) {
      const file = batchFileOf(foldBatch(await logRepo(t.app).ofBatch(batch)), site, siteState);
      if (!file) continue;
      const parsed = parseBatchFile(JSON.parse(JSON.stringify(file)));
      if (!parsed.ok) throw new Error(JSON.stringify(parsed.problems.slice(0, 3)));
      const openedId = newId();
      await writeEntries(
        t.app,
        site,
        entriesOfFile(parsed.file, {
          openedId: entryId(openedId),
          by: 'Mo',
          rules: rulesNamedIn(parsed.file),
          idOf: () => entryId(newId()),
        }),
        now,
      );
      const again = batchFileOf(
        foldBatch(await logRepo(t.app).ofBatch(batchId(openedId))),
        site,
        siteState,
      )!;
      const verdicts = (f: typeof file, asOf?: number) =>
        rulingsOf(preparedOf(f, asOf), rulesForMethod(file.batch.method)).map(
          (r) => r.assessment.verdict,
        );
      expect(verdicts(again, now)).toEqual(verdicts(file, now));
      expect(verdicts(again)).toEqual(verdicts(file));
    }
  }, 60_000);

  test('unknown fields of a file survive the way through the log', async () => {
    const site = await aSite(t.app);
    const file = {
      format: 'zealous-heap/batch',
      version: 1,
      moon: 'full',
      site: { name: 'Elsewhere', timeZone: 'Asia/Kolkata', altitude: 900 },
      batch: { code: 'Z', method: 'vessel', builtAt: '2026-05-01T00:00+05:30', colour: 'red' },
      policy: { minPoints: 1, extra: true },
      points: [{ id: 'p', hue: 1 }],
      probes: [{ id: 'T', maker: 'x', checks: [] }],
      readings: [
        {
          id: 'r',
          at: '2026-05-02T00:00:00.123456Z',
          point: 'p',
          probe: 'T',
          value: 60,
          unit: 'C',
          cloud: 2,
        },
      ],
      events: [
        { id: 'n1', at: '2026-05-02T01:00Z', type: 'note', text: 'hello', deep: { er: 1 } },
        { id: 'a1', at: '2026-05-02T02:00Z', type: 'add', raw: false, by: 'someone' },
      ],
    };
    const parsed = parseBatchFile(file);
    if (!parsed.ok) throw new Error('refused');
    const openedId = newId();
    await writeEntries(
      t.app,
      site,
      entriesOfFile(parsed.file, {
        openedId: entryId(openedId),
        by: 'Mo',
        rules: [],
        idOf: () => entryId(newId()),
      }),
      NOW,
    );
    const back = batchFileOf(
      foldBatch(await logRepo(t.app).ofBatch(batchId(openedId))),
      site,
      foldSite([]),
    );
    expect(back).toMatchObject(file);
  });
});
