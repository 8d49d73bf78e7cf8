import { createHash } from 'node:crypto';
import { sql } from 'kysely';
import { chainText, GENESIS, sequenceOf, type NewEntry } from '@/core/log/entry';
import { chainRepo } from '@/db/repositories/chain';
import { photoRepo } from '@/db/repositories/photos';
import type { Site } from '@/db/repositories/site';
import { writeEntries } from '@/db/write';
import { newId } from '@/platform/ids';
import { doorOnSite, type Doored } from './door';

/** A log as people wrote it, and what somebody who has the database does to it afterwards. */
const sha256 = (text: string): string => createHash('sha256').update(text).digest('hex');
const MINUTE = 60_000;
export const NOW = Date.now();

export type History = {
  readonly d: Doored;
  readonly site: Site;
  readonly heap: string;
  readonly file: string;
  readonly head: { readonly seq: number; readonly hash: string };
  readonly photo: string;
};

/** A site with a history of its own, on a database of its own. */
export async function layUpHistory(): Promise<History> {
  const d = await doorOnSite();
  return { d, site: d.site, ...(await aHistory(d)) };
}

/** A batch with a photo, thirty-odd rounds and a turning; what a phone and an inspector saw of it. */
async function aHistory({ t, site }: Doored): Promise<Omit<History, 'd' | 'site'>> {
  const heap = newId();
  const bytes = Buffer.from('not a picture, but bytes');
  const photo = createHash('sha256').update(bytes).digest('hex');
  await photoRepo(t.app).put(
    site.id,
    { sha256: photo, bytes, small: bytes, width: 1, height: 1 },
    NOW,
  );
  let n = 0;
  const put = async (kind: string, data: object, id = newId(), batch: string | null = heap) => {
    n += 1;
    const at = NOW - (60 - n) * MINUTE;
    const entry = { id, batch, at, by: 'Jo', kind, data } as unknown as NewEntry;
    await writeEntries(t.app, site, [entry], at + MINUTE / 2);
  };
  await put(
    'opened',
    {
      ...{ code: 'A', name: 'Avocet', method: 'turned' },
      ...{ points: [{ id: 'P1' }], policy: {}, rules: ['us-503-pfrp-turned'], ownRules: [] },
    },
    heap,
  );
  await put('built', {});
  await put('ambient', { value: 12, unit: 'C' }, newId(), null);
  await put('photo', { sha256: photo, width: 1, height: 1 });
  for (let i = 0; i < 32; i += 1)
    await put('round', {
      source: 'hand',
      readings: [
        {
          ...{ id: `r${i}`, at: new Date(NOW - (60 - n - 1) * MINUTE).toISOString() },
          ...{ point: 'P1', value: 56 + (i % 3), unit: 'C' },
        },
      ],
    });
  await put('turn', { full: true });
  const { loggedAt, fileTextOf } = await import('@/features/record/server/files');
  const logged = (await loggedAt(site, heap, Date.now()))!;
  const head = (await chainRepo(t.app).head(site.id))!;
  return { heap, photo, head, file: fileTextOf(site, logged)! };
}

/** Changes tables as whoever owns the database can: the triggers are switched off first. */
export const asOwner = async ({ d }: History, ...statements: string[]): Promise<void> => {
  for (const table of ['log_entry', 'photo', 'chain_check'])
    await sql`alter table ${sql.table(table)} disable trigger user`.execute(d.t.admin);
  for (const s of statements) await sql.raw(s).execute(d.t.admin);
};

/** What somebody with the database, but without the key, makes anew: every hash, and the numbers of each sequence. */
export async function hashAnew({ d, site }: History): Promise<void> {
  const rows = await sql<{
    seq: string;
    id: string;
    batch: string | null;
    at: Date;
    recorded_at: Date;
    by: string;
    kind: string;
    data: object;
  }>`select * from log_entry order by seq`.execute(d.t.admin);
  let prev = GENESIS;
  const ends = new Map<string, { n: number; hash: string }>();
  for (const row of rows.rows) {
    const entry = {
      ...row,
      at: row.at.getTime(),
      recordedAt: row.recorded_at.getTime(),
    } as never as Parameters<typeof chainText>[1] & { batch: string | null; kind: string };
    const end = ends.get(sequenceOf(entry)) ?? { n: 0, hash: GENESIS };
    const own = { n: end.n + 1, prev: end.hash };
    const hash = sha256(prev + chainText(site.id, { ...entry, own }));
    ends.set(sequenceOf(entry), { n: own.n, hash });
    await sql`update log_entry set hash = ${hash}, own_n = ${own.n}, own_prev = ${own.prev} where seq = ${row.seq}`.execute(
      d.t.admin,
    );
    prev = hash;
  }
}
